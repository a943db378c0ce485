import { afterEach, describe, expect, it, vi } from 'vitest';

import { beginHere, forgetBegin, stationPath, view, viewAt } from './place';

const none = () => Promise.resolve({ default: () => null });
const VIEWS = [
  view('try', none),
  view('try/run/:run', none),
  view('next', none),
  view('next/decision/:decision', none),
];

describe('which view stands at an address', () => {
  it.each([
    ['try', 'try'],
    ['try/run/0190', 'try/run/:run'],
    ['next', 'next'],
    ['next/decision/0190', 'next/decision/:decision'],
  ])('%s', (at, path) => {
    expect(viewAt(VIEWS, at)?.path).toBe(path);
  });

  it.each(['', 'tr', 'try/run', 'try/run/1/2', 'next/decisions/1', 'weigh'])('nothing at %j', (at) => {
    expect(viewAt(VIEWS, at)).toBeUndefined();
  });

  it('fetches nothing before it is asked to', () => {
    const load = vi.fn(none);
    view('try', load);
    expect(load).not.toHaveBeenCalled();
  });
});

describe('the address of a station', () => {
  it('takes letters with a prime', () => {
    expect(stationPath('0190', 'D′', 'build')).toBe('/d/0190/D%E2%80%B2/build');
  });
});

describe('the key that begins something', () => {
  afterEach(forgetBegin);

  it('does nothing where there is nothing to begin, and does not fail', () => {
    expect(() => beginHere()).not.toThrow();
  });
});
