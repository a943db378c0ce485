// @vitest-environment jsdom
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';

import { show } from '../test/screen';
import { forgetBegin, useBegin } from './place';
import { useKeys } from './useKeys';

function Keys({ one, begin }: { one: () => void; begin?: (() => void) | null }) {
  useKeys({ '1': one });
  return (
    <>
      {begin !== undefined && <Begins begin={begin} />}
      <input aria-label="Typing" />
      <div role="dialog" tabIndex={0} aria-label="A slip" />
    </>
  );
}

function Begins({ begin }: { begin: (() => void) | null }) {
  useBegin(begin);
  return null;
}

beforeEach(forgetBegin);

describe('single keys', () => {
  it('do what they say', async () => {
    const one = vi.fn();
    show(<Keys one={one} />);
    await userEvent.keyboard('1');
    expect(one).toHaveBeenCalledOnce();
  });

  it('are letters while somebody types, or a slip is open', async () => {
    const one = vi.fn();
    show(<Keys one={one} />);
    await userEvent.type(screen.getByLabelText('Typing'), '1');
    screen.getByLabelText('A slip').focus();
    await userEvent.keyboard('1');
    expect(one).not.toHaveBeenCalled();
    expect(screen.getByLabelText<HTMLInputElement>('Typing').value).toBe('1');
  });

  it("leave the browser's own alone", async () => {
    const one = vi.fn();
    show(<Keys one={one} />);
    await userEvent.keyboard('{Control>}1{/Control}{Alt>}1{/Alt}{Meta>}1{/Meta}');
    expect(one).not.toHaveBeenCalled();
  });
});

describe('n', () => {
  it('begins what the sheet has', async () => {
    const begin = vi.fn();
    show(<Keys one={vi.fn()} begin={begin} />);
    await userEvent.keyboard('n');
    expect(begin).toHaveBeenCalledOnce();
  });

  it('pressed before the sheet is there is done when it is, once', async () => {
    const begin = vi.fn();
    const next = show(<Keys one={vi.fn()} />);
    await userEvent.keyboard('n');
    next(<Keys one={vi.fn()} begin={begin} />);
    expect(begin).toHaveBeenCalledOnce();
    next(<Keys one={vi.fn()} />);
    next(<Keys one={vi.fn()} begin={begin} />);
    expect(begin).toHaveBeenCalledOnce();
  });

  it('is forgotten when another place was gone to', async () => {
    const begin = vi.fn();
    const next = show(<Keys one={vi.fn()} />);
    await userEvent.keyboard('n');
    forgetBegin();
    next(<Keys one={vi.fn()} begin={begin} />);
    expect(begin).not.toHaveBeenCalled();
  });

  it('does nothing for those who may not write', async () => {
    show(<Keys one={vi.fn()} begin={null} />);
    await userEvent.keyboard('n');
    expect(screen.getByLabelText('Typing')).toBeTruthy();
  });
});
