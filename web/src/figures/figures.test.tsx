import type { ReactElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { MemoryRouter } from 'react-router';
import { describe, expect, it } from 'vitest';

import type { Schemas } from '../api/client';
import { Axis } from './Axis';
import { ForecastBar } from './ForecastBar';
import { IntervalPlot } from './IntervalPlot';
import { LevelPlot } from './LevelPlot';
import { ModeTally } from './ModeTally';
import { SidesPlot } from './SidesPlot';
import { TrialStrips } from './TrialStrips';

const drawn = (figure: ReactElement): string => renderToStaticMarkup(<MemoryRouter>{figure}</MemoryRouter>);
const count = (markup: string, what: RegExp): number => (markup.match(new RegExp(what, 'g')) ?? []).length;
/** The numbers of an attribute, in the order in which they are drawn. */
const numbers = (markup: string, name: string): number[] =>
  [...markup.matchAll(new RegExp(` ${name}="(-?[\\d.]+)"`, 'g'))].map((m) => Number(m[1]));

const estimate = (value: number, low: number | null, high: number | null): Schemas['Estimate'] =>
  ({ value, low, high, cut: [], text: `${String(value)} N` }) as unknown as Schemas['Estimate'];

describe('two builds on one axis', () => {
  const side = (letter: string, values: number[], e: Schemas['Estimate'] | null, strong = false) => ({
    letter,
    values,
    estimate: e,
    strong,
  });
  const plot = (sides: ReturnType<typeof side>[], limit: { value: number; direction: 'atLeast' | 'atMost' } | null) =>
    drawn(<IntervalPlot metric="pull" unit="N" sides={sides} limit={limit} />);

  it('shows every run as a dot, and the mean with its interval', () => {
    const markup = plot([side('B', [10, 11, 12], estimate(11, 9, 13), true), side('A', [14, 15], null)], null);
    expect(count(markup, /<circle/)).toBe(5);
    expect(count(markup, /<rect/)).toBe(1);
    expect(count(markup, /stroke-width="2.4"/)).toBe(1);
  });

  it('ends an interval that was cut off at a wall, and no axis goes beyond it', () => {
    const cut = { ...estimate(2, 0, 5), cut: ['low'] } as Schemas['Estimate'];
    const figure = (natural?: { least: number | null; most: number | null }) =>
      drawn(
        <IntervalPlot metric="misses" unit="%" sides={[side('B', [-0.4, 3], cut)]} limit={null} natural={natural} />,
      );
    expect(count(figure(), /data-cut/)).toBe(1);
    expect(figure()).toContain('>−');
    expect(figure({ least: 0, most: null })).not.toContain('>−');
  });

  it('draws no interval where there is none', () => {
    const markup = plot([side('B', [10], estimate(10, null, null))], null);
    expect(count(markup, /<rect/)).toBe(1);
    expect(count(markup, /stroke-width="1.4"/)).toBe(0);
  });

  it('keeps everything within the figure, limit included', () => {
    for (const limit of [
      null,
      { value: 300, direction: 'atMost' as const },
      { value: -5, direction: 'atLeast' as const },
    ]) {
      const markup = plot([side('B', [0.001, 250, 99], estimate(116, -20, 253))], limit);
      const width = 560;
      for (const at of [...numbers(markup, 'cx'), ...numbers(markup, 'x1'), ...numbers(markup, 'x2')]) {
        expect(at).toBeGreaterThanOrEqual(0);
        expect(at).toBeLessThanOrEqual(width);
      }
    }
  });

  it('keeps the order of the values', () => {
    const [first, second, third] = numbers(plot([side('B', [3, -2, 8], null)], null), 'cx') as [number, number, number];
    expect(second).toBeLessThan(first);
    expect(first).toBeLessThan(third);
  });

  it('says on which side of its limit is well', () => {
    expect(plot([side('B', [10], null)], { value: 9, direction: 'atLeast' })).toContain('at least');
    expect(plot([side('B', [10], null)], { value: 9, direction: 'atMost' })).toContain('at most');
  });

  it('tells in words what it shows', () => {
    const markup = plot([side('B', [10, 11], estimate(10.5, 9, 12)), side('A', [], null)], null);
    expect(markup).toContain('aria-label="pull, B: 10.5 N, 2 runs; A: no value, 0 runs"');
  });

  it('is nothing where nothing was read', () => {
    expect(plot([side('B', [], null)], null)).toBe('');
  });

  it('stands where all values are one, and where that is nought', () => {
    for (const value of [7, 0, -3]) {
      const at = numbers(plot([side('B', [value, value], null)], null), 'cx');
      expect(at).toHaveLength(2);
      for (const x of at) expect(Number.isFinite(x)).toBe(true);
    }
  });

  it('writes a minus as one', () => {
    expect(plot([side('B', [-10, -5], null)], null)).toMatch(/>−\d/);
  });
});

describe('trials along time', () => {
  const run = (id: string, startedAt: string, outcome: Schemas['RunOutcome'] | null = 'held') =>
    ({ id, startedAt, outcome, number: 1, serial: '' }) as Schemas['RunDot'];
  const row = (name: string, runs: Schemas['RunDot'][]): Schemas['TrialRow'] =>
    ({
      trial: { id: name, name },
      runs,
      from: runs[0]?.startedAt ?? null,
      to: runs[0]?.startedAt ?? null,
    }) as Schemas['TrialRow'];

  it('gives each outcome a shape of its own', () => {
    const outcomes = ['held', 'failed', 'stoppedEarly', 'lost', 'void', null] as const;
    const shapes = outcomes.map((outcome) => {
      const markup = drawn(<TrialStrips rows={[row('Pull', [run('r', '2026-03-02T10:00:00Z', outcome)])]} />);
      return markup.slice(markup.indexOf('Pull'), markup.indexOf('</svg>')).replace(/[\d.]+/g, '#');
    });
    expect(new Set(shapes).size).toBe(outcomes.length);
  });

  it('lets no run lie on another', () => {
    const runs = Array.from({ length: 20 }, (_, i) => run(String(i), '2026-03-02T10:00:00Z', 'lost'));
    const markup = drawn(<TrialStrips rows={[row('Pull', runs)]} />);
    const at = numbers(markup.slice(0, markup.indexOf('<figcaption')), 'cx');
    expect(at).toHaveLength(20);
    for (let i = 1; i < at.length; i++) expect(at[i]! - at[i - 1]!).toBeGreaterThanOrEqual(5);
  });

  it('stays within its width, however many there are', () => {
    const runs = Array.from({ length: 400 }, (_, i) => run(String(i), '2026-03-02T10:00:00Z', 'lost'));
    for (const x of numbers(drawn(<TrialStrips rows={[row('Pull', runs)]} />), 'cx'))
      expect(x).toBeLessThanOrEqual(960);
  });

  it('begins with what was tried first', () => {
    const markup = drawn(
      <TrialStrips
        rows={[row('Later', [run('b', '2026-05-02T10:00:00Z')]), row('Earlier', [run('a', '2026-03-02T10:00:00Z')])]}
      />,
    );
    expect(markup.indexOf('Earlier')).toBeLessThan(markup.indexOf('Later'));
  });

  it('cuts a name that is too long, and is nothing without runs', () => {
    expect(drawn(<TrialStrips rows={[row('x'.repeat(60), [run('a', '2026-03-02T10:00:00Z')])]} />)).toContain('x…');
    expect(drawn(<TrialStrips rows={[row('Pull', [])]} />)).toBe('');
    expect(drawn(<TrialStrips rows={[]} />)).toBe('');
  });
});

describe('a forecast', () => {
  const forecast = (more: Partial<Schemas['ForecastView']>): Schemas['ForecastView'] =>
    ({
      metric: 'pull',
      sentence: 'Pull would go from 40 to 36 N.',
      now: 40,
      nowText: '40 N',
      low: 34,
      likely: 36,
      high: 38,
      limit: null,
      limitText: '',
      ...more,
    }) as Schemas['ForecastView'];

  it('is an outline beside the solid mark of what is', () => {
    const markup = drawn(<ForecastBar forecast={forecast({})} />);
    expect(count(markup, /<rect[^>]*fill="none"/)).toBe(1);
    expect(count(markup, /<rect[^>]*fill="var\(--color-ink\)"/)).toBe(1);
    expect(markup).toContain('aria-label="Pull would go from 40 to 36 N."');
  });

  it('shows the limit where there is one', () => {
    expect(drawn(<ForecastBar forecast={forecast({})} />)).not.toContain('limit');
    expect(drawn(<ForecastBar forecast={forecast({ limit: 45, limitText: '45 N' })} />)).toContain('limit 45 N');
  });

  it('is not drawn where something is not known', () => {
    for (const gone of ['now', 'low', 'likely', 'high'] as const)
      expect(drawn(<ForecastBar forecast={forecast({ [gone]: null })} />)).toBe('');
  });

  it('keeps a width that can be seen where nothing scatters', () => {
    const markup = drawn(<ForecastBar forecast={forecast({ low: 36, high: 36 })} />);
    expect(Math.min(...numbers(markup, 'width'))).toBeGreaterThanOrEqual(2);
  });
});

describe('modes over builds', () => {
  const mode = (counts: [string, number, number][]): Schemas['ModeRow'] =>
    ({
      mode: 'Bent',
      place: 'hub',
      total: 1,
      sentence: 'Gathers on B.',
      counts: counts.map(([letter, failures, tried]) => ({ revision: letter, letter, failures, tried })),
    }) as Schemas['ModeRow'];

  it('tells nought of some from not tried', () => {
    const markup = drawn(
      <ModeTally
        rows={[
          mode([
            ['A', 0, 0],
            ['B', 3, 6],
            ['C', 0, 6],
          ]),
        ]}
        device="d"
        current="C"
      />,
    );
    expect(markup).toContain('0 of 6');
    expect(count(markup, />·</)).toBe(1);
    expect(markup).toContain('<span class="sr-only">3</span>');
  });

  it('draws a stroke a failure, the fifth across', () => {
    const strokes = (n: number): number =>
      count(drawn(<ModeTally rows={[mode([['A', n, n]])]} device="d" current="A" />), /<line/);
    expect([1, 4, 5, 11].map(strokes)).toEqual([1, 4, 5, 11]);
    expect(strokes(300)).toBe(20);
  });

  it('leads to each build', () => {
    const markup = drawn(<ModeTally rows={[mode([['D′', 1, 1]])]} device="d" current="D′" />);
    expect(markup).toContain(`href="/d/d/${encodeURIComponent('D′')}/find"`);
  });
});

describe('the axis', () => {
  it('lets no label run out of the figure', () => {
    const ticks = [
      { at: 50, label: 'Sun 6 Sept' },
      { at: 98, label: 'Sun 13 Sept' },
      { at: 100, label: '12' },
    ];
    const markup = drawn(
      <svg>
        <Axis from={0} to={100} y={50} ticks={ticks} />
      </svg>,
    );
    expect([...markup.matchAll(/text-anchor="(\w+)"/g)].map((m) => m[1])).toEqual(['middle', 'end', 'middle']);
  });

  it('leaves out a label that would run into the one before, and keeps its mark', () => {
    const ticks = ['Sun 6 Sept', 'Mon 7 Sept', 'Tue 8 Sept', 'Wed 9 Sept'].map((label, i) => ({ at: i * 40, label }));
    const markup = drawn(
      <svg>
        <Axis from={0} to={200} y={50} ticks={ticks} top={0} />
      </svg>,
    );
    expect(markup.match(/\d Sept/g)).toEqual(['6 Sept', '8 Sept']);
    expect(count(markup, /<line/)).toBe(4);
  });

  it('has a mark and a label for each tick', () => {
    const markup = drawn(
      <svg>
        <Axis
          from={0}
          to={100}
          y={50}
          ticks={[
            { at: 10, label: '1' },
            { at: 90, label: '9' },
          ]}
          title="pull, N"
        />
      </svg>,
    );
    expect(count(markup, /<text/)).toBe(3);
    expect(numbers(markup, 'x1')).toEqual([0, 10, 90]);
  });
});

describe('several sides on one axis', () => {
  const side = (name: string, effect: number | null, groups: string): Schemas['SideMark'] => ({
    side: name,
    n: 3,
    effect,
    text: String(effect),
    groups,
  });
  const row = (sides: Schemas['SideMark'][]) =>
    ({ metric: 'comfort', title: 'by variant', unit: '%', sides }) as unknown as Schemas['SidesRow'];

  it('joins those that cannot be told apart by one bar for each group', () => {
    const markup = drawn(<SidesPlot row={row([side('wide', 6, 'a'), side('slim', 1, 'b'), side('round', -1, 'b')])} />);
    expect(count(markup, /<circle/)).toBe(3);
    expect(count(markup, /stroke-width="3"/)).toBe(2);
    expect(markup).toContain('wide 6, group a');
  });

  it('leaves out what was run alike with nothing, and draws nothing where that is all', () => {
    expect(count(drawn(<SidesPlot row={row([side('wide', 6, ''), side('lost', null, '')])} />), /<circle/)).toBe(1);
    expect(drawn(<SidesPlot row={row([side('lost', null, '')])} />)).toBe('');
  });

  it('keeps everything within the figure', () => {
    const markup = drawn(<SidesPlot row={row([side('a very long name of an arm', 1e6, 'ab'), side('b', -3, 'b')])} />);
    for (const at of [...numbers(markup, 'cx'), ...numbers(markup, 'x1'), ...numbers(markup, 'x2')]) {
      expect(at).toBeGreaterThanOrEqual(0);
      expect(at).toBeLessThanOrEqual(560);
    }
  });
});

describe('two builds level by level', () => {
  const cell = (name: string, otherValue: number, value: number, opposed = false) =>
    ({ cell: name, otherValue, value, other: `${otherValue} N`, here: `${value} N`, opposed }) as Schemas['CellRow'];
  const row = (cells: Schemas['CellRow'][]) =>
    ({ metric: 'push', unit: 'N', words: [], cells }) as unknown as Schemas['ComparisonRow'];

  it('draws one line a level, the other build hollow, this one filled, with the letters on top', () => {
    const markup = drawn(
      <LevelPlot row={row([cell('dry', 40, 38), cell('moist', 44, 45, true)])} here="B" other="A" limit={45} />,
    );
    expect(count(markup, /<rect/)).toBe(4);
    expect(count(markup, /var\(--color-oxide\)/)).toBe(1);
    expect(markup).toContain('dry: A 40 N, B 38 N');
    expect(markup.indexOf('>A<')).toBeLessThan(markup.indexOf('>B<'));
  });

  it('draws nothing without levels', () => {
    expect(drawn(<LevelPlot row={row([])} here="B" other="A" limit={null} />)).toBe('');
  });
});
