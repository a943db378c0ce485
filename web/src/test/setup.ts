import { configure } from '@testing-library/dom';

// On a machine that is busy with other things a screen takes its time; a test that fails waits that much longer.
configure({ asyncUtilTimeout: 30_000 });

// A browser completes an address with that of its page; Node's own Request wants it whole.
class WithinPage extends Request {
  constructor(input: RequestInfo | URL, init?: RequestInit) {
    super(typeof input === 'string' ? new URL(input, 'http://lustrum.test') : input, init);
  }
}

globalThis.Request = WithinPage;
