import { useLocation, useNavigate } from 'react-router';
import { Mark } from '../shell/Mark';
import { usePageTitle } from '../shell/usePageTitle';
import { text } from '../text/text';
import { SignInForm } from './SignInForm';

export function SignInPage() {
  const navigate = useNavigate();
  const from = (useLocation().state as { from?: string } | null)?.from ?? '/';
  usePageTitle(text('signIn.title'));
  return (
    <main className="sign-in">
      <div className="sign-in-brand">
        <Mark size={72} />
        <p className="sign-in-name">{text('app.name')}</p>
        <p className="quiet">{text('app.about')}</p>
      </div>
      <div>
        <SignInForm title={text('signIn.title')} onDone={() => void navigate(from, { replace: true })} />
        <p className="quiet small sign-in-demo">{text('signIn.demo')}</p>
      </div>
    </main>
  );
}
