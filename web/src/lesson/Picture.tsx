import { text } from '../text/text';

/** Where the app serves a picture. */
export const pictureOf = (name: string) =>
  name.startsWith('own/') ? `/api/pictures/${name.slice('own/'.length)}` : `/pictures/${name}.svg`;

/**
 * A picture. Its name gives nothing away, so that a child can't read the answer. One of the school's own that is gone
 * leaves its place.
 */
export function Picture({ name, word, size = 72 }: { name: string; word?: string; size?: number }) {
  if (name === '')
    return (
      <span className="picture picture-gone rounded" style={{ width: size, height: size }}>
        {text('picture.gone')}
      </span>
    );
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
