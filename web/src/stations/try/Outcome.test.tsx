// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';

import { OFFLINE } from '../../api/client';
import { of, OFF, refusal, server } from '../../test/server';
import { show } from '../../test/screen';
import { runSheet } from '../../test/sheets';
import { keepDraft, readDraft } from '../../outbox/drafts';
import { foundKey, readingKey } from './onSheet';
import { Outcome } from './Outcome';

let run = 0;
const fresh = () => `run-of-outcome-${++run}`;
const press = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }));

describe('what is typed on the sheet and not kept yet', () => {
  const typed = async (id: string) => {
    await keepDraft(readingKey(id, 'force'), { id: 'reading-f', text: '412', how: 'about' });
    await keepDraft(foundKey(id), { gap: '1.6', ground: 'wet' });
  };

  it('goes along with the outcome', async () => {
    const sent = server();
    const id = fresh();
    await typed(id);
    show(<Outcome sheet={runSheet({ id })} write />);
    expect(screen.getByText('Not kept yet: force, time. What is typed goes along.')).toBeTruthy();
    await press('Held');
    await waitFor(() => expect(of(sent, 'PUT', `/api/runs/${id}`)).toHaveLength(1));
    expect(of(sent, 'PUT', '/api/readings/')[0]!.body).toMatchObject({
      run: id,
      channel: 'force',
      text: 'about 412',
      unit: 'N',
    });
    expect(of(sent, 'PUT', `/api/runs/${id}`)[0]!.body).toMatchObject({
      outcome: 'held',
      settings: [{ name: 'gap', text: '1.6' }],
      conditions: [{ name: 'ground', text: 'wet' }],
    });
    await waitFor(async () => expect(await readDraft(foundKey(id))).toBeUndefined());
    expect(await readDraft(readingKey(id, 'force'))).toBeUndefined();
  });

  it.each([
    [
      'asked back',
      refusal(409, 'asks-back', 'Is it meant?', {
        questions: [{ about: 'slip', sentence: 'Is it 41.2 N?', corrected: '41.2 N' }],
      }),
      'Is it 41.2 N?',
    ],
    ['refused', refusal(422, 'invalid', 'A mass is no force.'), 'A mass is no force.'],
  ])('and %s holds the end up, which says what would be missing', async (_, answer, why) => {
    const sent = server({ 'PUT /api/readings': answer });
    const id = fresh();
    await typed(id);
    show(<Outcome sheet={runSheet({ id })} write />);
    await press('Held');
    await screen.findByText(`force about 412 is not kept: ${why}`);
    expect(of(sent, 'PUT', `/api/runs/${id}`)).toHaveLength(0);
    await press('End without force');
    await waitFor(() => expect(of(sent, 'PUT', `/api/runs/${id}`)).toHaveLength(1));
    expect(of(sent, 'PUT', `/api/runs/${id}`)[0]!.body).toMatchObject({
      outcome: 'held',
      conditions: [{ name: 'ground', text: 'wet' }],
    });
    expect(of(sent, 'PUT', '/api/readings/')).toHaveLength(1);
  });
});

describe('how a run ended', () => {
  it('is one press where it held, with all that was known of the run', async () => {
    const sent = server();
    const id = fresh();
    show(<Outcome sheet={runSheet({ id })} write />);
    await press('Held');
    await waitFor(() => expect(of(sent, 'PUT', `/api/runs/${id}`)).toHaveLength(1));
    expect(sent).toHaveLength(1);
    expect(sent[0]!.body).toEqual({
      trial: 'trial-1',
      article: 'article-1',
      operator: 'Ines',
      levels: [{ name: 'height', text: '40 cm' }],
      conditions: [{ name: 'ground', text: 'dry' }],
      settings: [],
      note: '',
      outcome: 'held',
      outcomeReason: '',
      ended: null,
      answers: [],
      purpose: 'findOut',
      firmware: '',
      state: '',
      lookedFor: [],
      others: [],
      person: '',
      goes: null,
      differs: '',
      setAside: '',
      takenIn: false,
      ahead: null,
      stands: null,
      forecast: [],
      clockAt: null,
      lasted: null,
      foundAt: null,
      failures: [],
      version: 2,
    });
  });

  it.each([
    ['Stopped early', 'Why was it stopped?', 'stoppedEarly'],
    ['Lost in handling', 'How was it lost?', 'lost'],
    ['Void', 'Why does it not count? It keeps its number.', 'void'],
  ])('asks why where it was: %s', async (words, asks, outcome) => {
    const sent = server();
    const id = fresh();
    show(<Outcome sheet={runSheet({ id })} write />);
    await press(words);
    expect(sent).toHaveLength(0);
    await userEvent.type(screen.getByLabelText(asks), 'Dark');
    await press(new RegExp('^Keep: '));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]!.body).toMatchObject({ outcome, outcomeReason: 'Dark' });
  });

  it('asks whether it came where a channel waits for it: a bound is no value', async () => {
    const sent = server();
    const id = fresh();
    const sheet = runSheet({ id });
    show(<Outcome sheet={{ ...sheet, asked: { ...sheet.asked, waits: true } }} write />);
    await press('Held');
    expect(sent).toHaveLength(0);
    expect(screen.getByRole<HTMLInputElement>('radio', { name: /The reading is a value/ }).checked).toBe(true);
    await userEvent.click(screen.getByRole('radio', { name: /nothing came. A bound/ }));
    await press('Keep: held');
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]!.body).toMatchObject({ outcome: 'held', ended: 'endPoint' });
  });

  it('keeps what nearly happened where it held only just', async () => {
    const sent = server();
    const id = fresh();
    show(<Outcome sheet={runSheet({ id })} write />);
    await press('Held, only just');
    expect(sent).toHaveLength(0);
    await userEvent.type(screen.getByLabelText('What nearly happened?'), 'The latch hung for a second');
    await press('Keep: held');
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]!.body).toMatchObject({
      outcome: 'held',
      outcomeReason: '',
      answers: [{ question: 'held', answer: 'onlyJust', note: 'The latch hung for a second' }],
    });
  });

  it('asks each of several questions', async () => {
    const sent = server();
    const id = fresh();
    const sheet = runSheet({ id });
    const questions = [
      { key: 'opens', metric: 'latch opens', text: 'The latch opens' },
      { key: 'crack', metric: 'no crack', text: '' },
    ];
    show(<Outcome sheet={{ ...sheet, asked: { ...sheet.asked, questions } }} write />);
    await press('Failed');
    await userEvent.selectOptions(screen.getByLabelText('The latch opens'), 'failed');
    await userEvent.type(screen.getByLabelText('What failed, in a few words?'), 'It stuck');
    await press('Keep: failed');
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]!.body).toMatchObject({
      outcome: 'failed',
      answers: [
        { question: 'opens', answer: 'failed' },
        { question: 'crack', answer: 'notLooked' },
      ],
    });
  });

  it('is only said to those who may not write', () => {
    server();
    show(<Outcome sheet={runSheet()} write={false} />);
    expect(screen.getByText('Not finished.')).toBeTruthy();
    expect(screen.queryByRole('button')).toBeNull();
  });
});

describe('a failure', () => {
  const fail = async (id: string) => {
    show(<Outcome sheet={runSheet({ id })} write />);
    await press('Failed');
    await userEvent.type(screen.getByLabelText('What failed, in a few words?'), 'Cracked at the clip');
    await userEvent.type(screen.getByLabelText('Mode'), 'Arm broke');
    await userEvent.type(screen.getByLabelText('Place on the device'), 'arm');
    await userEvent.selectOptions(screen.getByLabelText('What it would lead to'), 'dangerous');
  };

  it('is logged in the same write', async () => {
    const sent = server();
    const id = fresh();
    await fail(id);
    await press('Keep: failed');
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(of(sent, 'PUT', '/api/runs/')[0]!.body).toMatchObject({
      outcome: 'failed',
      outcomeReason: 'Cracked at the clip',
      failures: [
        {
          mode: 'Arm broke',
          place: 'arm',
          consequence: 'dangerous',
          question: 'held',
          note: 'Cracked at the clip',
        },
      ],
    });
  });

  it('is the same one when the run could not be sent, and is typed once', async () => {
    const sent = server({ 'PUT /api/runs': [OFF, {}] });
    const id = fresh();
    await fail(id);
    await press('Keep: failed');
    await screen.findByText(OFFLINE);
    expect(screen.getByLabelText<HTMLInputElement>('Mode').value).toBe('Arm broke');
    await press('Keep: failed');
    await waitFor(() => expect(of(sent, 'PUT', '/api/runs/')).toHaveLength(2));
    const [first, second] = of(sent, 'PUT', '/api/runs/');
    expect(second!.body).toEqual(first!.body);
  });

  it('need not have a mode', async () => {
    const sent = server();
    show(<Outcome sheet={runSheet({ id: fresh() })} write />);
    await press('Failed');
    await press('Keep: failed');
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]!.url).toContain('/api/runs/');
  });

  it('is still there after the page was left', async () => {
    server();
    const id = fresh();
    const elsewhere = show(<Outcome sheet={runSheet({ id })} write />);
    await press('Failed');
    await userEvent.type(screen.getByLabelText('Mode'), 'Arm broke');
    elsewhere(<p>Another screen</p>);
    elsewhere(<Outcome sheet={runSheet({ id })} write />);
    await waitFor(() => expect(screen.getByLabelText<HTMLInputElement>('Mode').value).toBe('Arm broke'));
  });
});

describe('an outcome that was wrong', () => {
  it('is amended with a reason, and both stay', async () => {
    const sent = server();
    const id = fresh();
    show(<Outcome sheet={runSheet({ id, outcome: 'held' })} write />);
    await press('Amend outcome');
    await press('Failed');
    await userEvent.type(screen.getByLabelText('Why is the outcome amended? Both stay.'), 'Seen on the clip');
    await press('Keep: failed');
    await waitFor(() => expect(of(sent, 'POST', `/api/runs/${id}/amend`)).toHaveLength(1));
    expect(of(sent, 'POST', `/api/runs/${id}/amend`)[0]!.body).toEqual({
      outcome: 'failed',
      reason: 'Seen on the clip',
      failures: [],
      version: 2,
    });
  });

  it('is not amended by one press on Held', async () => {
    const sent = server();
    show(<Outcome sheet={runSheet({ id: fresh(), outcome: 'failed' })} write />);
    await press('Amend outcome');
    await press('Held');
    expect(sent).toHaveLength(0);
    await press('Leave it');
    expect(screen.getByRole('button', { name: 'Amend outcome' })).toBeTruthy();
  });

  it('says what it was', () => {
    server();
    const amendments = [{ text: 'held', by: 'Ines', at: '2026-03-02T10:05:00Z', reason: 'Seen on the clip' }];
    show(<Outcome sheet={runSheet({ outcome: 'failed', amendments })} write />);
    expect(screen.getByText('Was held; amended by Ines: Seen on the clip')).toBeTruthy();
  });

  it('is refused with a sentence where somebody else was quicker', async () => {
    server({ 'POST /api/runs': refusal(409, 'version', 'Tobias has changed it meanwhile.') });
    show(<Outcome sheet={runSheet({ id: fresh(), outcome: 'held' })} write />);
    await press('Amend outcome');
    await press('Void');
    await press('Keep: void');
    await screen.findByText('Tobias has changed it meanwhile.');
  });
});
