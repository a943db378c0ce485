// @vitest-environment jsdom
import { cleanup, render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, expect, it } from 'vitest';

import type { Frame, SpineTag } from '../ui/place';
import { Spine } from './Spine';

afterEach(cleanup);

const tag = (id: string, letter: string, boxes: number, depth = 0): SpineTag =>
  ({
    revision: { id, letter, state: 'built' },
    bar: Array<string>(boxes).fill('solid'),
    evidence: `${boxes} of ${boxes} shown`,
    waits: [],
    depth,
  }) as unknown as SpineTag;

function draw(tags: SpineTag[], modules: Frame['modules'] = [], at = 0) {
  const frame = { device: { id: 'd', name: 'Wren' }, spine: tags, modules } as unknown as Frame;
  return render(
    <MemoryRouter>
      <Spine frame={frame} current={tags[at]} station="weigh" />
    </MemoryRouter>,
  );
}

it('shows the modules of the build that is looked at, and no tree of them', () => {
  const modules = [
    { build: 'b', device: 'g', name: 'Seedeye', letter: 'B' },
    { build: 'a', device: 'g', name: 'Seedeye', letter: 'A' },
  ];
  draw([tag('b', 'F', 3), tag('a', 'E', 3)], modules);
  expect(screen.getByText('F carries')).toBeTruthy();
  expect(screen.getByRole('link', { name: 'Seedeye B' }).getAttribute('href')).toBe('/d/g/B/build');
  expect(screen.queryByRole('link', { name: 'Seedeye A' })).toBeNull();
  expect(screen.queryByText('A module of')).toBeNull();
});

it('leads from a module to what carries it', () => {
  draw([tag('b', 'B', 1)], [{ build: null, device: 'w', name: 'Wren', letter: 'F' }]);
  expect(screen.getByText('A module of')).toBeTruthy();
  expect(screen.getByRole('link', { name: 'Wren F' })).toBeTruthy();
});

it('keeps a bar of twelve on one line, beside an indented tag too', () => {
  const { container } = draw([tag('a', 'F', 12), tag('b', 'E′', 12, 1), tag('c', 'D', 4)]);
  const widths = [...container.querySelectorAll('li')].map((li) =>
    li.querySelectorAll('svg')[1]?.getAttribute('width'),
  );
  expect(widths).toEqual(['9', '8', '9']);
});
