import { Component, type ReactNode } from 'react';
import { Button } from 'react-bootstrap';
import { text } from '../text/text';

/** Stands in for a page that could not be shown, so that nobody stands before a white screen. */
export class ErrorBoundary extends Component<{ children: ReactNode; at?: string }, { failed: boolean }> {
  override state = { failed: false };

  static getDerivedStateFromError() {
    return { failed: true };
  }

  /** Another page is another try. */
  override componentDidUpdate(before: { at?: string }) {
    if (this.state.failed && before.at !== this.props.at) this.setState({ failed: false });
  }

  override render() {
    if (!this.state.failed) return this.props.children;
    return (
      <section className="py-4" role="alert">
        <h1>{text('error.page')}</h1>
        <p>{text('error.pageHelp')}</p>
        <Button onClick={() => window.location.reload()}>{text('error.reload')}</Button>{' '}
        <Button variant="outline-primary" href="/">
          {text('error.home')}
        </Button>
      </section>
    );
  }
}
