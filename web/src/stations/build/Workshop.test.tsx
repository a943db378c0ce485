// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter } from 'react-router';
import { afterEach, describe, expect, it, vi } from 'vitest';

import type { Schemas } from '../../api/client';
import { of, refusal, server, type Sent } from '../../test/server';
import { show } from '../../test/screen';
import { PlaceContext, type SpineTag } from '../../ui/place';
import { PasteParts } from './PasteParts';
import { running } from './since';
import Workshop from './Workshop';

type Sheet = Schemas['WorkshopSheet'];

const STEP: Schemas['MakingView'] = {
  id: 'm1',
  version: 2,
  article: 'a1',
  name: 'Cut',
  who: '',
  minutes: 40,
  took: '40 min',
  wrong: 'Slipped',
  scrap: 1,
  noticed: '',
  by: 'Tobias',
  at: '2026-03-02T09:00:00Z',
};

const DOCUMENT: Schemas['DocumentView'] = {
  id: 'd1',
  version: 1,
  revision: 'r1',
  part: null,
  partName: 'Rim',
  article: null,
  name: 'rim.svg',
  role: 'cutting',
  author: 'Tobias',
  day: '',
  note: '',
  ratings: [],
  type: 'image/svg+xml',
  bytes: 900,
  sha256: 'abcdef0123456789',
  preview: 'picture',
  seen: 'This drawing carries a script.',
  by: 'Tobias',
  at: '2026-03-02T09:00:00Z',
};

const EMPTY: Sheet = {
  revision: 'r1',
  documents: [],
  parts: [{ id: 'p1', label: 'Rim', now: '' }],
  articles: [],
  modules: [],
  made: [],
  steps: [],
  making: '',
  spendings: [],
  spent: '',
  takenOver: [],
};

function draw(sheet: Partial<Sheet>, write = true, more: Parameters<typeof server>[0] = {}): Sent[] {
  const sent = server({ ...more, 'GET /api/revisions/r1/workshop': { body: { ...EMPTY, ...sheet } } });
  const frame = { write, people: [] as string[] } as Schemas['FrameView'];
  const tag = { revision: { id: 'r1', letter: 'B' } } as SpineTag;
  show(
    <MemoryRouter>
      <PlaceContext.Provider value={{ frame, tag }}>
        <Workshop revision="r1" currency="EUR" />
      </PlaceContext.Provider>
    </MemoryRouter>,
  );
  return sent;
}

afterEach(() => vi.useRealTimers());

it('says what each part will work out before there is anything', async () => {
  draw({});
  expect(await screen.findByText(/Each is known by its hash/)).toBeTruthy();
  expect(screen.getByText(/each step of making it takes one touch/)).toBeTruthy();
  expect(screen.getByText(/stands beside what was planned/)).toBeTruthy();
  expect(screen.queryByRole('heading', { name: /Modules/ })).toBeNull();
});

describe('making', () => {
  const made = { article: 'a1', serial: 'W-1', steps: [STEP], said: '1 step, 40 min', done: false };

  it('is logged by one touch a step; the server tells the time since the last', async () => {
    const sent = draw({
      made: [made],
      steps: ['Cut', 'Glue'],
    });
    expect(await screen.findByText(/40 min, Slipped, 1 scrapped/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Cut, W-1' })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Glue, W-1' }));
    await waitFor(() => expect(of(sent, 'PUT', '/api/makings/')).toHaveLength(1));
    expect(of(sent, 'PUT', '/api/makings/')[0]!.body).toEqual({ article: 'a1', name: 'Glue', scrap: 0, clocked: true });
  });

  it('begins the clock, and takes a step that has no name yet', async () => {
    const sent = draw({ made: [{ ...made, steps: [], said: '' }] });
    await userEvent.click(await screen.findByRole('button', { name: 'Begin making W-1' }));
    await userEvent.type(screen.getByLabelText('Another step of W-1'), ' Sand ');
    await userEvent.click(screen.getByRole('button', { name: 'Done' }));
    await waitFor(() => expect(of(sent, 'PUT', '/api/makings/')).toHaveLength(2));
    expect(of(sent, 'PUT', '/api/makings/').map((s) => [s.body['name'], s.body['minutes'], s.body['clocked']])).toEqual(
      [
        ['Begun', 0, undefined],
        ['Sand', undefined, true],
      ],
    );
  });

  it('opens a step to say what went wrong', async () => {
    const sent = draw({ made: [made] });
    await userEvent.click(await screen.findByRole('button', { name: 'Cut' }));
    await userEvent.type(await screen.findByLabelText('Where could it have been noticed sooner?'), 'On the saw');
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(of(sent, 'PUT', '/api/makings/m1')).toHaveLength(1));
    expect(of(sent, 'PUT', '/api/makings/m1')[0]!.body).toMatchObject({
      article: 'a1',
      noticed: 'On the saw',
      minutes: 40,
      scrap: 1,
      version: 2,
    });
  });

  it('ends with the article being made, or says why not', async () => {
    const sent = draw({ made: [made] }, true, {
      'POST /api/articles/a1/made': refusal(422, 'invalid', 'It was made already.'),
    });
    await userEvent.click(await screen.findByRole('button', { name: 'W-1 is made' }));
    expect((await screen.findByRole('alert')).textContent).toBe('It was made already.');
    expect(of(sent, 'POST', '/api/articles/a1/made')).toHaveLength(1);
  });

  it('offers nothing once it is made, nor to who may only look', async () => {
    draw({ made: [{ ...made, done: true }], steps: ['Glue'] }, false);
    await screen.findByText('1 step, 40 min');
    expect(screen.queryAllByRole('button')).toEqual([]);
  });
});

describe('files', () => {
  it('shows what a file is, what was seen in it and where it differs', async () => {
    draw({
      documents: [
        {
          document: DOCUMENT,
          from: '',
          note: 'rim.svg: not the file of A, nobody said why.',
          claims: ['heat 85 °C, asserted'],
          size: '900 B',
        },
        {
          document: { ...DOCUMENT, id: 'd2', name: 'motor.pdf', preview: 'pages', seen: '' },
          from: 'A',
          note: '',
          claims: [],
          size: '2 MB',
        },
      ],
    });
    expect(await screen.findByRole('img', { name: 'Picture of rim.svg' })).toBeTruthy();
    expect(screen.getByText('rim.svg: not the file of A, nobody said why.')).toBeTruthy();
    expect(screen.getByText('This drawing carries a script.')).toBeTruthy();
    expect(screen.getByText('heat 85 °C, asserted')).toBeTruthy();
    expect(screen.getByText(/cutting or print file · Rim · Tobias · 900 B · # abcdef01/)).toBeTruthy();
    expect(screen.getByText(/from A/)).toBeTruthy();
    // What was taken over is edited where it belongs.
    expect(screen.queryByRole('button', { name: 'Edit motor.pdf' })).toBeNull();
    expect(screen.getByRole('link', { name: 'motor.pdf' }).getAttribute('target')).toBe('_blank');
  });

  it('takes a claim with its page', async () => {
    const sent = draw({ documents: [{ document: DOCUMENT, from: '', note: '', claims: [], size: '900 B' }] });
    await userEvent.click(await screen.findByRole('button', { name: 'Edit rim.svg' }));
    await userEvent.click(await screen.findByRole('button', { name: 'Add a claim' }));
    await userEvent.type(screen.getByLabelText('What'), 'heat');
    await userEvent.type(screen.getByLabelText('How much'), '85 °C');
    await userEvent.type(screen.getByLabelText('On page'), '2');
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(of(sent, 'PUT', '/api/documents/d1')).toHaveLength(1));
    expect(of(sent, 'PUT', '/api/documents/d1')[0]!.body).toMatchObject({
      revision: 'r1',
      role: 'cutting',
      ratings: [{ what: 'heat', value: '85 °C', page: '2' }],
    });
  });

  it('refuses one that is too large before it is sent, and keeps the others', async () => {
    const sent = draw({});
    const small = new File(['x'], 'rim.dxf');
    const large = new File(['x'], 'scan.step');
    Object.defineProperty(large, 'size', { value: 200_000_000 });
    await userEvent.upload(await screen.findByLabelText('Files of the build'), [small, large]);
    expect((await screen.findByRole('alert')).textContent).toBe('scan.step is too large: at most 50 MB can be taken.');
    expect(of(sent, 'POST', '/api/documents/')).toHaveLength(1);
    expect(screen.getByRole('status').textContent).toBe('Kept.');
  });
});

describe('hours and money', () => {
  const clock: Schemas['SpendingView'] = {
    id: 's1',
    version: 1,
    revision: 'r1',
    what: 'Welding',
    who: '',
    hours: null,
    cost: 0,
    time: '',
    money: '',
    started: new Date(Date.now() - 90 * 60_000).toISOString(),
    stopped: '',
    at: '2026-03-02T09:00:00Z',
  };

  it('a clock that runs is stopped by one touch', async () => {
    const sent = draw({ spendings: [clock], spent: 'Spent so far: 0 h.' });
    expect(await screen.findByText('1 h 30 min')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Stop the clock' }));
    await waitFor(() => expect(of(sent, 'PUT', '/api/spendings/s1')).toHaveLength(1));
    const body = of(sent, 'PUT', '/api/spendings/s1')[0]!.body;
    expect(body).toMatchObject({ started: clock.started, what: 'Welding', version: 1 });
    expect(String(body['stopped'])).toMatch(/^\d{4}-/);
  });

  it('one is started by one touch, and one number does as well', async () => {
    const sent = draw({});
    await userEvent.click(await screen.findByRole('button', { name: 'Start a clock' }));
    await userEvent.click(screen.getByRole('button', { name: 'Add hours or money' }));
    await userEvent.type(await screen.findByLabelText('Hours'), '2,5');
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(of(sent, 'PUT', '/api/spendings/')).toHaveLength(2));
    const [started, typed] = of(sent, 'PUT', '/api/spendings/').map((s) => s.body);
    expect(String(started!['started'])).toMatch(/^\d{4}-/);
    expect(typed).toMatchObject({ hours: 2.5, cost: 0, started: '' });
  });
});

it('modules and what was taken over are links and sentences', async () => {
  draw({
    modules: [{ part: 'Gate', device: 'g', name: 'Seedeye', letter: 'B', said: '1 of 1 shown, the newest.' }],
    takenOver: [{ part: 'Wheel', said: 'Taken over from Wren A, as it was.' }],
  });
  expect((await screen.findByRole('link', { name: 'Seedeye B' })).getAttribute('href')).toBe('/d/g/B/build');
  expect(screen.getByText('Taken over from Wren A, as it was.')).toBeTruthy();
});

describe('a pasted table', () => {
  const said = {
    added: ['Screw'],
    changed: [],
    same: 0,
    problems: ['Row 3 has no name.'],
    sentence: '1 part would be added.',
    kept: false,
  };

  it('is looked at first, and taken over by a second touch', async () => {
    const close = vi.fn();
    const sent = server({ 'POST /api/revisions/r1/paste': [{ body: said }, { body: { ...said, kept: true } }] });
    show(<PasteParts open revision="r1" onClose={close} />);
    const look = screen.getByRole('button', { name: 'See what it would do' });
    expect((look as HTMLButtonElement).disabled).toBe(true);
    await userEvent.click(screen.getByLabelText('Cells out of a spreadsheet'));
    await userEvent.paste('Part\tQty\nScrew\t4');
    await userEvent.click(look);
    expect(await screen.findByText('1 part would be added.')).toBeTruthy();
    expect(screen.getByText('Row 3 has no name.')).toBeTruthy();
    expect(close).not.toHaveBeenCalled();
    await userEvent.click(screen.getByRole('button', { name: 'Take it over' }));
    await waitFor(() => expect(close).toHaveBeenCalled());
    expect(of(sent, 'POST', '/api/revisions/r1/paste').map((s) => s.body['keep'])).toEqual([false, true]);
  });

  it('that is none stays as it was typed', async () => {
    server({ 'POST /api/revisions/r1/paste': refusal(422, 'invalid', 'There is no table in this.') });
    show(<PasteParts open revision="r1" onClose={() => undefined} />);
    await userEvent.type(screen.getByLabelText('Cells out of a spreadsheet'), 'hello');
    await userEvent.click(screen.getByRole('button', { name: 'See what it would do' }));
    expect((await screen.findByRole('alert')).textContent).toBe('There is no table in this.');
    expect(screen.getByLabelText<HTMLTextAreaElement>('Cells out of a spreadsheet').value).toBe('hello');
    expect(screen.queryByRole('button', { name: 'Take it over' })).toBeNull();
  });
});

it('a clock says how long it has run', () => {
  const now = new Date('2026-03-02T12:00:00Z');
  expect(running('2026-03-02T11:45:30Z', now)).toBe('14 min');
  expect(running('2026-03-02T09:55:00Z', now)).toBe('2 h 5 min');
  expect(running('2026-03-02T13:00:00Z', now)).toBe('0 min');
});
