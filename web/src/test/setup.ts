// A browser completes an address with that of its page; Node's own Request wants it whole.
class WithinPage extends Request {
  constructor(input: RequestInfo | URL, init?: RequestInit) {
    super(typeof input === 'string' ? new URL(input, 'http://lustrum.test') : input, init);
  }
}

globalThis.Request = WithinPage;
