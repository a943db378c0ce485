// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter } from 'react-router';
import { describe, expect, it } from 'vitest';

import type { Schemas } from '../../api/client';
import { of, refusal, server } from '../../test/server';
import { show } from '../../test/screen';
import { PlaceContext, type Frame } from '../../ui/place';
import { ChangedSomething } from './ChangedSomething';

const article = (deviants: Schemas['ArticleView']['deviants']) =>
  ({
    gathers: deviants.some((d) => d.kind === 'parameter'),
    id: 'article-1',
    revision: 'build-1',
    serial: 'U-2',
    version: 3,
    deviants,
  }) as unknown as Schemas['ArticleView'];
const gap = { kind: 'parameter' as const, name: 'gap', value: '1.2 mm' };
const weld = { kind: 'workmanship' as const, name: 'weld', value: 'rough' };
const screenOf = (deviants: Schemas['ArticleView']['deviants']) =>
  show(
    <MemoryRouter>
      <PlaceContext value={{ frame: { device: { id: 'device-1' } } as Frame, tag: undefined }}>
        <ChangedSomething article={article(deviants)} />
      </PlaceContext>
    </MemoryRouter>,
  );

describe('what was changed between two runs', () => {
  it('is gathered into a build of its own by one touch', async () => {
    const sent = server({
      'GET /api/articles/article-1/steps': { body: [{ number: 1, said: 'Gap 1.2 mm', runs: 0, after: [] }] },
      'POST /api/articles/article-1/gather': { body: { letter: 'C' } },
    });
    screenOf([gap, weld]);
    await userEvent.click(screen.getByRole('button', { name: 'Gather into a build of its own' }));
    await waitFor(() => expect(of(sent, 'POST', '/api/articles/article-1')).toHaveLength(1));
    expect(of(sent, 'POST', '/api/articles/article-1')[0]!.body).toHaveProperty('id');
  });

  it('says why it cannot be', async () => {
    server({
      'GET /api/articles/article-1/steps': { body: [] },
      'POST /api/articles/article-1/gather': refusal(422, 'invalid', 'At most 500 runs go along.'),
    });
    screenOf([gap]);
    await userEvent.click(screen.getByRole('button', { name: 'Gather into a build of its own' }));
    expect((await screen.findByRole('alert')).textContent).toBe('At most 500 runs go along.');
  });

  it('begins after the step that somebody says, where there are several', async () => {
    const sent = server({
      'GET /api/articles/article-1/steps': {
        body: [
          {
            number: 1,
            said: 'Gap 1.2 mm',
            runs: 3,
            after: [{ id: 'f-1', mode: 'Slipped', said: 'Meant to end “Slipped” (run 2)' }],
          },
          { number: 2, said: 'Grip cork', runs: 1, after: [] },
        ],
      },
      'POST /api/articles/article-1/gather': { body: { letter: 'C' } },
    });
    screenOf([gap]);
    await userEvent.click(screen.getByRole('button', { name: 'Gather into a build of its own' }));
    expect(await screen.findByText('3 runs')).toBeTruthy();
    expect(of(sent, 'POST', '/api/articles/article-1')).toHaveLength(0);
    await userEvent.click(screen.getByLabelText('Meant to end “Slipped” (run 2)'));
    await userEvent.click(screen.getByRole('button', { name: 'After 1: Gap 1.2 mm' }));
    await waitFor(() =>
      expect(of(sent, 'POST', '/api/articles/article-1')[0]!.body).toMatchObject({ step: 1, answers: ['f-1'] }),
    );
  });

  it('is not a build where it is how well the article was made', () => {
    server();
    screenOf([weld]);
    expect(screen.queryByRole('button', { name: 'Gather into a build of its own' })).toBeNull();
  });

  it('may be a photo alone', async () => {
    const sent = server();
    screenOf([gap]);
    await userEvent.upload(screen.getByLabelText('File'), new File(['x'], 'gap.jpg', { type: 'image/jpeg' }));
    await waitFor(() => expect(of(sent, 'PUT', '/api/articles/article-1')).toHaveLength(1));
    expect(of(sent, 'PUT', '/api/articles/article-1')[0]!.body).toMatchObject({
      deviants: [gap, { kind: 'workmanship', name: 'changed, see photo', value: 'gap.jpg' }],
    });
  });

  it('may be several photos, kept as one change', async () => {
    const sent = server();
    screenOf([gap]);
    const files = ['gap.jpg', 'arm.jpg'].map((name) => new File(['x'], name, { type: 'image/jpeg' }));
    await userEvent.upload(screen.getByLabelText('File'), files);
    await waitFor(() => expect(of(sent, 'PUT', '/api/articles/article-1')).toHaveLength(1));
    expect(of(sent, 'POST', '/api/photos/')).toHaveLength(2);
    expect(of(sent, 'PUT', '/api/articles/article-1')[0]!.body).toMatchObject({
      deviants: [gap, { kind: 'workmanship', name: 'changed, see photo', value: 'gap.jpg, arm.jpg' }],
    });
  });

  it('is taken back', async () => {
    const sent = server();
    screenOf([gap, weld]);
    await userEvent.click(screen.getByRole('button', { name: 'Take back gap' }));
    await waitFor(() => expect(of(sent, 'PUT', '/api/articles/article-1')).toHaveLength(1));
    expect(of(sent, 'PUT', '/api/articles/article-1')[0]!.body).toMatchObject({ deviants: [weld] });
  });
});
