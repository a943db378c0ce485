// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';

import { of, server } from '../../test/server';
import { show } from '../../test/screen';
import { runSheet } from '../../test/sheets';
import { FoundFields } from './FoundFields';
import { othersRead, othersSaid } from './onSheet';

describe('more about a run', () => {
  it('takes other articles, modes that did not appear, and how used to it somebody was', async () => {
    const sent = server();
    show(<FoundFields sheet={runSheet({ id: 'run-more' })} write />);
    await userEvent.click(screen.getByText('More about this run'));
    await userEvent.type(screen.getByLabelText('Other articles in it'), 'host: H-3{enter}dummy: D-1');
    await userEvent.type(screen.getByLabelText('Looked for and not seen'), 'Arm broke{enter}Latch stuck');
    await userEvent.type(screen.getByLabelText('Who tried it'), 'A neighbour');
    await userEvent.type(screen.getByLabelText('Goes that lay behind'), '12');
    await userEvent.type(screen.getByLabelText(/^In what they differ/), 'a carpenter');
    await userEvent.click(screen.getByRole('button', { name: 'Keep as found' }));
    await waitFor(() => expect(of(sent, 'PUT', '/api/runs/run-more')).toHaveLength(1));
    expect(of(sent, 'PUT', '/api/runs/run-more')[0]!.body).toMatchObject({
      others: [
        { name: 'host', text: 'H-3' },
        { name: 'dummy', text: 'D-1' },
      ],
      lookedFor: ['Arm broke', 'Latch stuck'],
      person: 'A neighbour',
      goes: 12,
      differs: 'a carpenter',
    });
  });

  it('stands open where something is known, and who may not write reads it', () => {
    server();
    const { container } = { container: document.body };
    show(<FoundFields sheet={runSheet({ id: 'run-read', others: [{ name: 'host', text: 'H-3' }] })} write={false} />);
    expect(container.querySelector('details')!.open).toBe(true);
    expect(screen.getByLabelText<HTMLTextAreaElement>('Other articles in it').disabled).toBe(true);
  });

  it('takes a count of goes for nothing else', async () => {
    server();
    show(<FoundFields sheet={runSheet({ id: 'run-goes' })} write />);
    await userEvent.click(screen.getByText('More about this run'));
    const goes = screen.getByLabelText<HTMLInputElement>('Goes that lay behind');
    await userEvent.type(goes, 'many 7');
    await userEvent.tab();
    expect(goes.value).toBe('7');
  });

  it('reads what it writes', () => {
    const others = [{ name: 'host', text: 'H-3: left' }];
    expect(othersRead(othersSaid(others))).toEqual(others);
    expect(othersRead('\n \n')).toEqual([]);
  });
});

describe('a method without conditions and settings', () => {
  it('still asks who made the run, why, and what there is to note', () => {
    server();
    const sheet = runSheet({ id: 'run-bare', levels: [], conditions: [] });
    const bare = { ...sheet, asked: { ...sheet.asked, conditions: [], settings: [], factors: [] } };
    show(<FoundFields sheet={bare} write />);
    for (const label of ['Operator', 'Made', 'Note']) expect(screen.getByLabelText(label)).toBeTruthy();
  });

  it('still asks for its level', () => {
    server();
    const sheet = runSheet({ id: 'run-level', conditions: [] });
    const bare = { ...sheet, asked: { ...sheet.asked, conditions: [], settings: [] } };
    show(<FoundFields sheet={bare} write />);
    expect(screen.getByLabelText('height cm')).toBeTruthy();
  });
});
