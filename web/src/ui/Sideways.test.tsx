// @vitest-environment jsdom
import { act, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';

import { Sideways } from './Sideways';

afterEach(() => vi.restoreAllMocks());

/** A place so wide, for something so wide. */
function widths(place: number, held: number) {
  vi.spyOn(HTMLElement.prototype, 'clientWidth', 'get').mockReturnValue(place);
  vi.spyOn(HTMLElement.prototype, 'scrollWidth', 'get').mockReturnValue(held);
}

it('says that there is more for as long as there is', () => {
  widths(300, 640);
  render(<Sideways label="A table">x</Sideways>);
  expect(screen.getByText(/More to the right/)).toBeTruthy();
  const region = screen.getByRole('region', { name: 'A table' });
  act(() => {
    region.scrollLeft = 340;
    fireEvent.scroll(region);
  });
  expect(screen.queryByText(/More to the right/)).toBeNull();
});

it('says nothing where all is in sight', () => {
  widths(640, 641);
  render(<Sideways label="A table">x</Sideways>);
  expect(screen.queryByText(/More to the right/)).toBeNull();
});
