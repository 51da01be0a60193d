import { Mark } from '../shell/Mark';
import { usePageTitle } from '../shell/usePageTitle';
import { text } from '../text/text';
import { addressFrom } from './signIn';
import { SignInForm } from './SignInForm';

/** The door: a page of its own, that fetches nothing of the rest. */
export function SignInPage() {
  usePageTitle(text('signIn.title'));
  return (
    <main className="sign-in">
      <div className="sign-in-brand">
        <Mark size={72} />
        <p className="sign-in-name">{text('app.name')}</p>
        <p className="quiet">{text('app.about')}</p>
      </div>
      <div>
        <SignInForm title={text('signIn.title')} onDone={() => window.location.assign(addressFrom(window.location.search))} />
        <p className="quiet small sign-in-demo">{text('signIn.demo')}</p>
      </div>
    </main>
  );
}
