// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';

import { OFFLINE } from '../api/client';
import { of, OFF, refusal, server } from '../test/server';
import { show } from '../test/screen';
import SignIn from './SignIn';

const session = { name: null, email: null, workspaces: [], token: 'fresh-token', empty: false };

async function signIn() {
  show(<SignIn />);
  await userEvent.type(screen.getByLabelText('E-mail'), 'ines@hollowlane.example');
  await userEvent.type(screen.getByLabelText('Password'), 'sparrow-and-kite');
  await userEvent.click(screen.getByRole('button', { name: 'Sign in' }));
}

describe('signing in', () => {
  it('asks for a fresh token first, and sends what was typed', async () => {
    const sent = server({ 'GET /api/session': { body: session }, 'POST /api/session': { body: session } });
    await signIn();
    await waitFor(() => expect(of(sent, 'POST', '/api/session')).toHaveLength(1));
    // The page asks who is there; the button asks anew.
    expect(sent.map((s) => s.method)).toEqual(['GET', 'GET', 'POST']);
    expect(sent[2]!.body).toEqual({ email: 'ines@hollowlane.example', password: 'sparrow-and-kite' });
  });

  it('says why it did not work, and lets it be tried again', async () => {
    const sentence = 'No account has this address and this password.';
    server({ 'GET /api/session': { body: session }, 'POST /api/session': refusal(401, 'not-signed-in', sentence) });
    await signIn();
    expect((await screen.findByRole('alert')).textContent).toBe(sentence);
    expect(screen.getByRole('button', { name: 'Sign in' })).toHaveProperty('disabled', false);
    expect(screen.getByLabelText<HTMLInputElement>('E-mail').value).toBe('ines@hollowlane.example');
  });

  it('says so where there is no connection', async () => {
    server({ 'GET /api/session': OFF });
    await signIn();
    expect((await screen.findByRole('alert')).textContent).toBe(OFFLINE);
  });
});
