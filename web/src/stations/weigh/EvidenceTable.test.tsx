// @vitest-environment jsdom
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';

import type { Schemas } from '../../api/client';
import { show } from '../../test/screen';
import { EvidenceTable } from './EvidenceTable';

const revision = (id: string, letter: string) => ({ id, letter }) as Schemas['RevisionView'];
const BUILDS = [revision('a', 'A'), revision('b', 'B'), revision('c', 'C')];

const cell = (requirement: string, build: string, changed: object = {}) =>
  ({
    requirement,
    revision: build,
    source: build,
    metric: 'metric-1',
    texture: 'solid',
    sentence: `${build} holds.`,
    how: 'One-sided t bound.',
    number: '41.2',
    explain: null,
    ...changed,
  }) as unknown as Schemas['EvidenceCell'];

const SHEET = {
  revision: BUILDS[2],
  against: null,
  revisions: BUILDS,
  requirements: [
    {
      id: 'r-1',
      statement: 'Light to push',
      metric: 'push force',
      kind: 'mean',
      source: 'runs',
      must: true,
      limitText: 'at most 45 N',
    },
    {
      id: 'r-2',
      statement: 'Cheap',
      metric: 'cost',
      kind: 'mean',
      source: 'cost',
      must: false,
      limitText: 'at most 40 EUR',
    },
  ],
  cells: [
    cell('r-1', 'a', { texture: 'outline', number: null, sentence: 'Not tried.' }),
    cell('r-1', 'b', { texture: 'slash', number: '52.0', sentence: 'B fails.' }),
    // What C shows was carried over from B.
    cell('r-1', 'c', { source: 'b' }),
    cell('r-2', 'c', { number: '38.50' }),
  ],
} as unknown as Schemas['WeighSheet'];

function draw(narrow: boolean, sheet = SHEET) {
  vi.stubGlobal('matchMedia', () => ({
    matches: narrow,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
  }));
  const open = vi.fn();
  show(<EvidenceTable sheet={sheet} open={open} />);
  return open;
}
const heads = () => screen.getAllByRole('columnheader').map((h) => h.textContent);
const row = (name: RegExp) => within(screen.getByRole('row', { name }));

describe('requirements by builds', () => {
  it('shows all builds on a desk, time running to the right, and what each was judged by', () => {
    draw(false);
    expect(heads()).toEqual(['Requirement', 'Limit', 'A', 'B', 'C']);
    row(/Light to push/).getByText('at most 45 N');
    row(/Cheap/).getByText(/worked out from the build · should/);
    expect(
      row(/Light to push/)
        .getAllByRole('button')
        .map((b) => b.textContent),
    ).toEqual(['\u00a0', '52.0', '41.2']);
    // Nobody has tried it there: nothing stands in the cell, not even an empty one.
    expect(row(/Cheap/).getAllByRole('button')).toHaveLength(1);
  });

  it('says in words what its texture shows, and opens to the runs that it stands on', async () => {
    const open = draw(false);
    await userEvent.click(screen.getByRole('button', { name: /^C, push force: .+\. c holds\.$/ }));
    expect(open).toHaveBeenCalledWith({
      title: 'Light to push: C',
      sentence: 'c holds.',
      how: 'One-sided t bound.',
      runs: { revision: 'b', metric: 'metric-1' },
      explain: null,
    });
  });

  it('shows on a phone the build that is looked at and one other, and how many more there are', async () => {
    draw(true);
    expect(heads(), 'The newest of the others first.').toEqual(['Requirement', 'C', 'B']);
    screen.getByText('of 2 more');
    row(/Light to push/).getByText('at most 45 N');
    await userEvent.selectOptions(screen.getByLabelText(/Beside C/), 'A');
    expect(heads().slice(1).sort()).toEqual(['A', 'C']);
    screen.getByRole('button', { name: /^A, push force: .+\. Not tried\.$/ });
  });

  it('begins on a phone with the build that it is weighed against', () => {
    draw(true, { ...SHEET, against: BUILDS[0]! });
    expect(heads().slice(1).sort()).toEqual(['A', 'C']);
  });

  it('offers nothing to choose from where there is one build', () => {
    draw(true, { ...SHEET, revision: BUILDS[0]!, revisions: [BUILDS[0]!] });
    expect(screen.queryByRole('combobox')).toBeNull();
    expect(heads().slice(1)).toEqual(['A']);
  });
});
