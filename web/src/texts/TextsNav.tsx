import { NavLink } from 'react-router';
import { text } from '../text/text';

/** The three rooms of texts: the desk to check and write at, the bank, the shelf. */
export function TextsNav() {
  return (
    <>
      <h1>{text('texts.page')}</h1>
      <nav className="nav nav-tabs mb-3" aria-label={text('texts.page')}>
        <NavLink className="nav-link" to="/texts" end>
          {text('texts.tabCheck')}
        </NavLink>
        <NavLink className="nav-link" to="/texts/own">
          {text('texts.tabOwn')}
        </NavLink>
        <NavLink className="nav-link" to="/texts/books">
          {text('texts.tabBooks')}
        </NavLink>
      </nav>
    </>
  );
}
