import type { LessonView } from '../lesson/kinds';
import { pictureOf } from '../lesson/Picture';
import { picturesOf } from './slides';

/** What is written while a lesson is taught: letters, and signs of sounds, which stand in files of their own. */
const SIGNS = 'aɪʃŋ';
const FACES = ['96px Andika', '700 96px Andika', '16px "Atkinson Hyperlegible"', '700 16px "Atkinson Hyperlegible"'];

/**
 * Asks for the faces and pictures of a lesson before the first word needs them, so that a lost server changes nothing
 * while it is taught.
 */
export function prepare(lesson: LessonView['lesson']) {
  for (const face of FACES) void document.fonts.load(face, SIGNS);
  for (const name of picturesOf(lesson)) new Image().src = pictureOf(name);
}
