// @vitest-environment jsdom
import { useQuery } from '@tanstack/react-query';
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';

import { offline, OFFLINE, ProblemError } from '../api/client';
import { show } from '../test/screen';
import { Waiting } from './Waiting';

function Screen({ read }: { read: () => Promise<string> }) {
  const query = useQuery({ queryKey: ['x'], queryFn: read });
  return (
    <Waiting query={query} title="Weigh">
      {(data) => <p>{data}</p>}
    </Waiting>
  );
}

describe('a sheet that is not there yet', () => {
  it('says that it is being worked out', () => {
    show(<Screen read={() => new Promise(() => undefined)} />);
    expect(screen.getByRole('status').textContent).toBe('Working it out …');
    expect(screen.getByRole('heading', { name: 'Weigh' })).toBeTruthy();
  });

  it('says what went wrong, and is asked for again', async () => {
    let tries = 0;
    show(<Screen read={() => (++tries === 1 ? Promise.reject(offline()) : Promise.resolve('Here it is.'))} />);
    await screen.findByText(OFFLINE);
    await userEvent.click(screen.getByRole('button', { name: 'Try again' }));
    await screen.findByText('Here it is.');
  });

  it('is not asked for again where there is nothing', async () => {
    const gone = new ProblemError({
      type: 'urn:lustrum:problem:not-there',
      title: 'No',
      status: 404,
      detail: 'No such build.',
    });
    show(<Screen read={() => Promise.reject(gone)} />);
    await screen.findByRole('heading', { name: 'Nothing here' });
    expect(screen.getByText('No such build.')).toBeTruthy();
    expect(screen.queryByRole('button')).toBeNull();
  });
});
