import { useLayoutEffect, useRef } from 'react';

/** Millimetres: what is left of a page between the margins of print.css, and the padding that a sheet has on screen. */
const PAGE_HEIGHT = { a4: 273, letter: 255 };
const SHEET_PADDING = 8;
const PIXELS_PER_MILLIMETRE = 96 / 25.4;

const LARGEST = 1;
const SMALLEST = 0.6;
const STEP = 0.04;

/** A sheet is made smaller until it comes on one page, measured as it stands on the screen. */
export function useOnePage() {
  const sheet = useRef<HTMLDivElement>(null);

  useLayoutEffect(() => {
    const fit = () => {
      const element = sheet.current;
      if (!element) return;
      let zoom = LARGEST;
      const page = document.documentElement.dataset['paper'] === 'letter' ? PAGE_HEIGHT.letter : PAGE_HEIGHT.a4;
      const isTooHigh = () =>
        element.getBoundingClientRect().height > (page + 2 * SHEET_PADDING * zoom) * PIXELS_PER_MILLIMETRE;
      element.style.zoom = String(zoom);
      while (zoom > SMALLEST && isTooHigh()) {
        zoom -= STEP;
        element.style.zoom = zoom.toFixed(2);
      }
    };
    fit();
    // Before its fonts are there a line may be shorter than it will be.
    void document.fonts?.ready.then(fit);
  });

  return sheet;
}
