// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';

import { show } from '../../test/screen';
import { answerBy } from '../../test/server';
import { AddPhoto } from './AddPhoto';

type Upload = { url: string; fields: Record<string, string> };

function uploads(...statuses: number[]): Upload[] {
  const sent: Upload[] = [];
  answerBy((url, init) => {
    const fields: Record<string, string> = {};
    (init?.body as FormData).forEach((value, name) => (fields[name] = typeof value === 'string' ? value : value.name));
    sent.push({ url: String(url), fields });
    const status = statuses.shift() ?? 201;
    const detail = 'That is no picture that can be read.';
    return Promise.resolve(
      new Response(
        JSON.stringify(status < 300 ? {} : { type: 'urn:lustrum:problem:file', title: 'No', status, detail }),
        {
          status,
        },
      ),
    );
  });
  return sent;
}

const file = (name: string, type: string, mb = 0) => {
  const one = new File(['x'], name, { type });
  Object.defineProperty(one, 'size', { value: mb * 1_000_000 });
  return one;
};
const take = (...files: File[]) => userEvent.upload(screen.getByLabelText('File'), files);

afterEach(() => vi.unstubAllGlobals());

describe('a file that is added', () => {
  it('goes to the run that it was taken on, one after the other', async () => {
    const sent = uploads();
    show(<AddPhoto revision="build-1" run="run-3" />);
    await take(file('clip.jpg', 'image/jpeg', 1), file('sound.wav', 'audio/wav', 1));
    await screen.findByText('sound.wav is kept.');
    expect(sent.map((s) => s.fields)).toEqual([
      { revision: 'build-1', run: 'run-3', caption: '', file: 'clip.jpg' },
      { revision: 'build-1', run: 'run-3', caption: '', file: 'sound.wav' },
    ]);
    expect(new Set(sent.map((s) => s.url)).size).toBe(2);
  });

  it.each([
    ['image/jpeg', 25],
    ['audio/wav', 50],
    ['video/mp4', 200],
    ['application/pdf', 25],
  ])('is not sent for nothing where it is too large: %s over %i MB', async (type, most) => {
    const sent = uploads();
    show(<AddPhoto revision="build-1" />);
    await take(file('big', type, most + 1));
    await screen.findByText(`big is too large: at most ${most} MB can be taken.`);
    expect(sent).toHaveLength(0);
    await take(file('fits', type, most));
    await waitFor(() => expect(sent).toHaveLength(1));
  });

  it('that is refused says why, and those after it wait', async () => {
    const sent = uploads(422);
    show(<AddPhoto revision="build-1" failure="failure-1" />);
    await take(file('broken.jpg', 'image/jpeg', 1), file('good.jpg', 'image/jpeg', 1));
    expect((await screen.findByRole('alert')).textContent).toBe('That is no picture that can be read.');
    expect(sent.map((s) => s.fields['file'])).toEqual(['broken.jpg']);
    expect(sent[0]!.fields['failure']).toBe('failure-1');
  });
});
