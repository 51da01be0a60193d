import { Mark } from '../shell/Mark';
import { usePageTitle } from '../shell/usePageTitle';
import { text } from '../text/text';
import { addressFrom } from './signIn';
import { SignInForm } from './SignInForm';

/** The door: a page of its own, that fetches nothing of the rest. */
export function SignInPage() {
  usePageTitle(text('signIn.title'));
  return (
    <main className="container row min-vh-100 align-items-center justify-content-center gx-5 mx-auto">
      <div className="col-md-6 col-xl-5">
        <Mark size={72} />
        <p className="fs-1 fw-bold mt-3 mb-2 mx-0">{text('app.name')}</p>
        <p className="quiet">{text('app.about')}</p>
      </div>
      <div className="col-md-6 col-xl-5">
        <SignInForm
          title={text('signIn.title')}
          onDone={() => window.location.assign(addressFrom(window.location.search))}
        />
        <p className="quiet small mt-3 mx-4">{text('signIn.demo')}</p>
      </div>
    </main>
  );
}
