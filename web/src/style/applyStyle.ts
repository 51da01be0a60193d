import type { Schemas } from '../api/client';
import { setPenDown } from '../board/letters/style';
import { setWording } from '../text/text';

/** Lays a style over the page: words and sounds by the catalogue, marks by attributes that the style sheet reads. */
export function applyStyle(view: Schemas['StyleView']) {
  setWording({
    labels: view.style.labels,
    plainSounds: view.style.soundLabels === 'plain',
    countsSounds: view.style.counting === 'sounds',
    sounds: view.sounds,
    trickyWay: view.style.trickyWay,
    blending: view.style.blending,
    lines: view.style.lettering.lines,
  });
  setPenDown(view.style.lettering.penDown === true);
  const root = document.documentElement.dataset;
  root['marks'] = view.style.marks.style;
  root['markShape'] = view.style.marks.shape;
  root['markWeight'] = String(view.style.marks.weight);
  root['lettering'] = view.style.lettering.oneStorey ? 'one-storey' : 'print';
}

/** Says on what the school prints, for the style sheet. */
export function applyPaper(paperSize: string) {
  document.documentElement.dataset['paper'] = paperSize.toLowerCase();
}
