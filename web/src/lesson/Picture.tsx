import { text } from '../text/text';

/** Where the app serves a picture. */
export const pictureOf = (name: string) =>
  name.startsWith('own/') ? `/api/pictures/${name.slice('own/'.length)}` : `/pictures/${name}.svg`;

/** One of our pictures. Its name gives nothing away, so that a child can't read the answer. */
export function Picture({ name, word, size = 72 }: { name: string; word?: string; size?: number }) {
  return (
    <img
      className="picture"
      src={pictureOf(name)}
      alt={word ? text('picture.of', { word }) : text('picture.alt')}
      width={size}
      height={size}
    />
  );
}
