// @vitest-environment jsdom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter } from 'react-router';
import { beforeAll, describe, expect, it, vi } from 'vitest';

import type { Schemas } from '../api/client';
import { of, server } from '../test/server';
import { show } from '../test/screen';
import { PlaceContext, type Frame } from '../ui/place';
import Workings from './Workings';

type Sheet = Schemas['WorkingsSheet'];

const sum = (name: string, title: string, asked: string[], words: string): Sheet['sums'][number] => ({
  name,
  title,
  what: `What ${title.toLowerCase()} comes to.`,
  asked,
  inputs: [
    {
      name: 'thickness',
      words,
      symbol: 't',
      unit: 'mm',
      kind: 'one',
      needed: true,
      default: '',
      choices: [],
      example: '',
      canBeSolved: true,
      fits: 'length',
    },
  ],
  outputs: [
    { name: 'stiffness', words: 'Stiffness', symbol: 'S', unit: '', formula: 'S = t³', isMain: true, fits: 'ratio' },
  ],
  source: 'Bending.',
  leavesOut: 'Creep.',
  caution: 'Nothing here says that it carries a person.',
  own: null,
});

const SHEET: Sheet = {
  sentence: '2 sums of the bench. None is kept on this device.',
  sums: [
    sum('strip', 'Section of a strip', ['how thick'], 'Thickness'),
    sum('runtime', 'Run time', ['battery'], 'Capacity'),
  ],
  kept: [],
  sources: [
    { kind: 'requirement', id: 'r-1', words: 'Twice as stiff', text: '2', unit: '1', fits: 'ratio' },
    { kind: 'requirement', id: 'r-2', words: 'Light', text: '3 kg', unit: 'kg', fits: 'mass' },
  ],
  runs: [{ run: 'run-1', channel: 'ratio', words: 'Bending, run 1: stiffness', unit: '1' }] as Sheet['runs'],
  candidates: [{ id: 'c-1', what: 'Thicker strip' }],
  own: [],
  workspace: 'ws-1',
};

const WORKED: Schemas['WorkedSheet'] = {
  answers: [
    {
      name: 'stiffness',
      words: 'Stiffness',
      text: '1.728 ± 0.086',
      formula: 'S = t³',
      putIn: 'S = (6 mm)³',
      parts: 'Its uncertainty comes from thickness (100 %).',
      value: 1.728,
      u: 0.086,
      unit: '1',
    },
  ],
  problems: [],
  problem: '',
  sentence: 'Stiffness: 1.728 ± 0.086.',
  xs: [1, 2, 3],
  ys: [1, 8, 27],
  stands: 2,
  limit: null,
  axis: 'Thickness, mm',
  solved: 'With thickness 6.300 mm it comes to 2.000.',
  solvedAs: '6.300 mm',
  bought: '',
  boughtAs: '',
};

const frame = {
  device: { id: 'd-1' },
  write: true,
  spine: [
    { revision: { id: 'b-1', device: 'd-1', letter: 'B' } },
    { revision: { id: 'a-1', device: 'd-1', letter: 'A' } },
  ],
} as unknown as Frame;

function draw(search = '', write = true) {
  const sent = server({
    'GET /api/revisions/': { body: SHEET },
    'POST /api/devices/d-1/work': { body: WORKED },
  });
  show(
    <MemoryRouter initialEntries={[`/d/d-1/workings${search}`]}>
      <PlaceContext.Provider value={{ frame: { ...frame, write }, tag: undefined }}>
        <Workings />
      </PlaceContext.Provider>
    </MemoryRouter>,
  );
  return sent;
}
const top = () => screen.findByTestId('sentence');

describe('the sheet of the workings', () => {
  beforeAll(() => {
    vi.stubGlobal('scrollTo', () => undefined);
    Element.prototype.scrollIntoView = () => undefined;
  });

  it('finds a sum by the words of the job, and says its answer on top once it is worked out', async () => {
    const sent = draw();
    expect((await top()).textContent).toBe(SHEET.sentence);
    await userEvent.type(screen.getByRole('searchbox'), 'how thick');
    expect(screen.queryByRole('button', { name: 'Run time' })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Section of a strip' }));
    screen.getByText('Nothing here says that it carries a person.');
    screen.getByText('The answers stand here as soon as what is needed is there.');
    fireEvent.change(screen.getByLabelText(/^Thickness/), { target: { value: '6 ± 0.1' } });
    await waitFor(async () => expect((await top()).textContent).toBe('Stiffness: 1.728 ± 0.086.'));
    expect(of(sent, 'POST', '/api/devices/d-1/work').at(-1)!.body).toMatchObject({
      sum: 'strip',
      output: 'stiffness',
      along: 'thickness',
      inputs: [{ name: 'thickness', text: '6 ± 0.1', parameter: null }],
    });
    screen.getByText('S = (6 mm)³');
  });

  it('takes the limit from a requirement, and what gives it into the field', async () => {
    const sent = draw('?sum=strip');
    fireEvent.change(await screen.findByLabelText(/^Thickness/), { target: { value: '6' } });
    const limits = await screen.findByLabelText('or as required');
    expect(
      within(limits)
        .getAllByRole('option')
        .map((o) => o.textContent),
      'What measures something else is no limit of it.',
    ).toEqual(['choose a limit', '2: Twice as stiff']);
    await userEvent.selectOptions(limits, '2: Twice as stiff');
    await waitFor(() => expect(of(sent, 'POST', '/api/devices/d-1/work').at(-1)!.body).toMatchObject({ wanted: '2' }));
    await userEvent.click(screen.getByRole('button', { name: 'Put 6.300 mm in' }));
    expect(screen.getByLabelText<HTMLInputElement>(/^Thickness/).value).toBe('6.300 mm');
  });

  it('is kept under what it is for, as a forecast of a run', async () => {
    const sent = draw('?sum=strip&candidate=c-1&build=B');
    await screen.findByText('Thicker strip', { selector: 'strong' });
    fireEvent.change(screen.getByLabelText(/^Thickness/), { target: { value: '6' } });
    const title = await screen.findByLabelText<HTMLInputElement>('What is it for?');
    expect(title.value, 'What the candidate is.').toBe('Thicker strip');
    await userEvent.selectOptions(screen.getByLabelText('As a forecast of'), 'Bending, run 1: stiffness');
    await userEvent.click(screen.getByRole('button', { name: 'Keep 1.728 ± 0.086' }));
    await waitFor(() => expect(of(sent, 'PUT', '/api/workings/')).toHaveLength(1));
    expect(of(sent, 'PUT', '/api/workings/')[0]!.body).toMatchObject({
      revision: 'b-1',
      title: 'Thicker strip',
      sum: 'strip',
      output: 'stiffness',
      run: 'run-1',
      channel: 'ratio',
    });
    // Kept, it is left; what is typed anew begins empty.
    await userEvent.click(await screen.findByRole('button', { name: 'Section of a strip' }));
    expect((await screen.findByLabelText<HTMLInputElement>(/^Thickness/)).value).toBe('');
  });

  it('begins with the sums that the words of a candidate speak of', async () => {
    draw('?candidate=c-1');
    expect((await screen.findByRole<HTMLInputElement>('searchbox')).value).toBe('Thicker strip');
    expect(screen.getByRole('link', { name: 'Back to Next' }).getAttribute('href')).toBe('/d/d-1/B/next');
    await userEvent.clear(screen.getByRole('searchbox'));
    expect(screen.getAllByRole('button', { name: /Section|Run time/ })).toHaveLength(2);
    await userEvent.type(screen.getByRole('searchbox'), 'poetry');
    screen.getByText('None of the sums is about that. Try another word of the job.');
  });

  it('goes on with what was typed and not kept', async () => {
    draw('?sum=runtime');
    fireEvent.change(await screen.findByLabelText(/^Capacity/), { target: { value: '7.5' } });
    await screen.findByRole('button', { name: 'Keep 1.728 ± 0.086' });
    await userEvent.click(screen.getByRole('button', { name: 'All sums' }));
    await userEvent.click(await screen.findByRole('button', { name: 'Run time' }));
    await waitFor(() => expect(screen.getByLabelText<HTMLInputElement>(/^Capacity/).value).toBe('7.5'));
  });

  it('works nothing out for who may only look', async () => {
    const sent = draw('?sum=strip', false);
    await screen.findByText('Who may only look works nothing out here; what was kept stands below.');
    expect(of(sent, 'POST', '/api/')).toHaveLength(0);
  });

  it('stands for the build that is chosen', async () => {
    const sent = draw();
    const build = await screen.findByLabelText('For');
    expect(
      within(build)
        .getAllByRole('option')
        .map((o) => o.textContent),
    ).toEqual(['B', 'A']);
    await userEvent.selectOptions(build, 'A');
    await waitFor(() => expect(of(sent, 'GET', '/api/revisions/a-1/workings')).toHaveLength(1));
    await screen.findByText('Workings · A');
  });
});
