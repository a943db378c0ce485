// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter } from 'react-router';
import { describe, expect, it, vi } from 'vitest';

import { show } from '../test/screen';
import { Menu } from './Menu';

const out = vi.fn();
const draw = () =>
  show(
    <MemoryRouter>
      <Menu
        align="end"
        className=""
        label="Maren: people and sign out"
        head="Maren"
        button="M"
        items={[
          { to: '/', words: 'All devices' },
          { words: 'Sign out', choose: out, apart: true },
        ]}
      />
    </MemoryRouter>,
  );
const button = () => screen.getByRole('button', { name: 'Maren: people and sign out' });

describe('a menu that is fetched when somebody reaches for it', () => {
  it('says what it is before it is there, and opens at the first touch', async () => {
    draw();
    expect(button().getAttribute('aria-haspopup')).toBe('menu');
    expect(button().getAttribute('aria-expanded')).toBe('false');
    expect(screen.queryByRole('menuitem')).toBeNull();
    await userEvent.click(button());
    const all = await screen.findByRole('menuitem', { name: 'All devices' });
    expect(all.getAttribute('href')).toBe('/');
    screen.getByText('Maren');
  });

  it('opens by the keyboard, and what is chosen is done', async () => {
    draw();
    await userEvent.tab();
    expect(document.activeElement).toBe(button());
    await userEvent.keyboard('{ArrowDown}');
    await screen.findByRole('menuitem', { name: 'Sign out' });
    await userEvent.keyboard('{End}{Enter}');
    await waitFor(() => expect(out).toHaveBeenCalledOnce());
    await waitFor(() => expect(screen.queryByRole('menuitem')).toBeNull());
  });

  it('closes again, and its button has the focus', async () => {
    draw();
    await userEvent.click(button());
    await screen.findByRole('menuitem', { name: 'All devices' });
    await userEvent.keyboard('{Escape}');
    await waitFor(() => expect(document.activeElement).toBe(button()));
  });
});
