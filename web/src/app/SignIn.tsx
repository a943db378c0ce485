import { useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';

import { api, must, ProblemError, send, setToken, type Schemas } from '../api/client';
import { sessionQuery, useSession } from '../api/queries';
import { Button } from '../ui/Button';

/** Signing in keeps the address: who was sent a link lands where it points. */
export default function SignIn() {
  const client = useQueryClient();
  const [problem, setProblem] = useState(useSession().data?.notice ?? '');
  const [busy, setBusy] = useState(false);

  async function submit(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    setBusy(true);
    setProblem('');
    try {
      // A fresh token first: this page may have been open for days.
      const fresh = await must(api.GET('/api/session'));
      setToken(fresh.token);
      const session = await must(
        send<Schemas['SessionView']>('POST', '/api/session', {
          email: form.get('email'),
          password: form.get('password'),
        }),
      );
      setToken(session.token);
      client.setQueryData(sessionQuery.queryKey, session);
      await client.invalidateQueries({ predicate: (q) => q.queryKey[0] !== 'session' });
    } catch (error) {
      setProblem(error instanceof ProblemError ? error.message : 'Something broke on our side. Try again in a moment.');
    } finally {
      setBusy(false);
    }
  }

  return (
    <main className="mx-auto flex min-h-dvh max-w-md flex-col justify-center p-4">
      <div className="border border-rule bg-sheet p-7">
        <h1 className="stamp text-2xl">Lustrum</h1>
        <p className="mb-5 mt-1 font-serif text-lg">Build it, try it, find out, weigh it, decide. Then again.</p>
        <form onSubmit={(e) => void submit(e)} className="space-y-4">
          <div>
            <label htmlFor="email" className="mb-1 block text-sm font-semibold">
              E-mail
            </label>
            <input id="email" name="email" type="email" autoComplete="username" required className="field" />
          </div>
          <div>
            <label htmlFor="password" className="mb-1 block text-sm font-semibold">
              Password
            </label>
            <input
              id="password"
              name="password"
              type="password"
              autoComplete="current-password"
              required
              className="field"
            />
          </div>
          {problem !== '' && (
            <p role="alert" className="border-l-2 border-oxide pl-3 font-semibold text-oxide">
              {problem}
            </p>
          )}
          <Button type="submit" look="primary" large disabled={busy} className="w-full">
            {busy ? 'Signing in …' : 'Sign in'}
          </Button>
        </form>
      </div>
    </main>
  );
}
