// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';

import { OFFLINE } from '../../api/client';
import { of, OFF, refusal, server } from '../../test/server';
import { show } from '../../test/screen';
import { channel, reading } from '../../test/sheets';
import { ReadingEntry } from './ReadingEntry';

let run = 0;
/** Each test on a run of its own: what is typed outlives the screen. */
const fresh = () => `run-of-reading-${++run}`;
const entry = (id: string, write = true, kept?: Parameters<typeof reading>) => (
  <ReadingEntry
    run={id}
    channel={channel('force', 'N')}
    reading={kept === undefined ? undefined : reading(...kept)}
    write={write}
  />
);
const field = () => screen.getByLabelText<HTMLInputElement>(/^force/);
const keep = () => screen.getByRole('button', { name: 'Keep force' });

describe('a reading', () => {
  it('is sent as it was typed, with the unit of its channel', async () => {
    const sent = server();
    const id = fresh();
    show(entry(id));
    await userEvent.type(field(), ' 41,2 ');
    await userEvent.click(keep());
    await waitFor(() => expect(of(sent, 'PUT', '/api/readings/')).toHaveLength(1));
    expect(of(sent, 'PUT', '/api/readings/')[0]!.body).toEqual({
      run: id,
      channel: 'force',
      text: '41,2',
      unit: 'N',
      confirmed: '',
      undecided: false,
    });
  });

  it('cannot be kept while nothing is typed', async () => {
    server();
    show(entry(fresh()));
    expect(keep()).toHaveProperty('disabled', true);
    await userEvent.type(field(), '  ');
    expect(keep()).toHaveProperty('disabled', true);
  });

  it('waits on this device where there is no connection, and is the same record when it is sent again', async () => {
    const sent = server({ 'PUT /api/readings': [OFF, {}] });
    const id = fresh();
    show(entry(id));
    await userEvent.type(field(), '41.2');
    await userEvent.click(keep());
    await screen.findByText(OFFLINE);
    expect(field().value).toBe('41.2');
    await userEvent.click(keep());
    await waitFor(() => expect(of(sent, 'PUT', '/api/readings/')).toHaveLength(2));
    const [first, second] = of(sent, 'PUT', '/api/readings/');
    expect(second).toEqual(first);
  });

  it('stands there again after the page was left, until it is kept', async () => {
    server();
    const id = fresh();
    const elsewhere = show(entry(id));
    await userEvent.type(field(), '41.2');
    elsewhere(<p>Another screen</p>);
    elsewhere(entry(id));
    await waitFor(() => expect(field().value).toBe('41.2'));
    await userEvent.click(keep());
    await waitFor(() => expect(keep().textContent).toBe('Keep'));
    elsewhere(<p>Another screen</p>);
    elsewhere(entry(id));
    await new Promise((done) => setTimeout(done, 20));
    expect(field().value).toBe('');
  });

  it('in another unit is shown as it would be kept', async () => {
    const body = { typed: '4.2 kgf', inChannelUnit: '41.19 N', converted: true, taken: '', questions: [] };
    server({ 'POST /api/readings/preview': { body } });
    show(entry(fresh()));
    await userEvent.type(field(), '4.2 kgf');
    await screen.findByText('4.2 kgf is 41.19 N');
  });

  it('may be a bound or about a value, and says what it is taken as', async () => {
    const taken = 'Taken as a bound: at most 8.00 N.';
    const sent = server({
      'POST /api/readings/preview': {
        body: { typed: 'at most 8 N', inChannelUnit: '8 N', converted: false, taken, questions: [] },
      },
    });
    show(entry(fresh()));
    await userEvent.selectOptions(screen.getByLabelText('How force was read'), 'at most');
    expect(keep()).toHaveProperty('disabled', true);
    await userEvent.type(field(), '8');
    await screen.findByText(taken);
    await userEvent.click(keep());
    await waitFor(() => expect(of(sent, 'PUT', '/api/readings/')).toHaveLength(1));
    expect(of(sent, 'PUT', '/api/readings/')[0]!.body).toMatchObject({ text: 'at most 8', unit: 'N' });
  });

  it('may be a number whose unit nobody remembers', async () => {
    const taken = 'Kept, and used for nothing until somebody decides: 412 N or 412 kgf = 4 040 N.';
    const sent = server({
      'POST /api/readings/preview': {
        body: { typed: '412 (unit not known)', inChannelUnit: '', converted: false, taken, questions: [] },
      },
    });
    show(entry(fresh()));
    await userEvent.selectOptions(screen.getByLabelText('How force was read'), 'unit not known');
    await userEvent.type(field(), '412');
    await screen.findByText(taken);
    await userEvent.click(keep());
    await waitFor(() => expect(of(sent, 'PUT', '/api/readings/')).toHaveLength(1));
    expect(of(sent, 'PUT', '/api/readings/')[0]!.body).toMatchObject({ text: '412', unit: '', undecided: true });
  });

  it('on a scale of words takes one touch', async () => {
    const sent = server();
    const scale = { ...channel('feel', ''), words: ['soft', 'medium', 'hard'] };
    show(<ReadingEntry run={fresh()} channel={scale} reading={undefined} write />);
    await userEvent.click(screen.getByRole('button', { name: 'medium' }));
    await waitFor(() => expect(of(sent, 'PUT', '/api/readings/')).toHaveLength(1));
    expect(of(sent, 'PUT', '/api/readings/')[0]!.body).toMatchObject({ channel: 'feel', text: 'medium' });
  });

  it('whose unit nobody knew is decided by one touch, and says what each would make of it', async () => {
    const sent = server({ 'POST /api/readings/reading-1/amend': { body: {} } });
    const choices = [
      { unit: 'N', text: '412 N', sentence: '412 N' },
      { unit: 'kgf', text: '412 kgf', sentence: '412 kgf = 4 040 N' },
    ];
    const kept = reading('412 (unit not known)', { undecided: true, choices });
    const sheet = show(<ReadingEntry run="run-3" channel={channel('force', 'N')} reading={kept} write />);
    expect(screen.getByText('412 kgf = 4 040 N')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'It is 412 kgf' }));
    await waitFor(() => expect(of(sent, 'POST', '/api/readings/reading-1')).toHaveLength(1));
    expect(of(sent, 'POST', '/api/readings/reading-1')[0]!.body).toMatchObject({
      text: '412 kgf',
      reason: 'Its unit was decided.',
      version: 1,
    });
    sheet(<ReadingEntry run="run-3" channel={channel('force', 'N')} reading={kept} write={false} />);
    expect(screen.queryByRole('button')).toBeNull();
  });

  it('confirms what was asked back only for the unit that it was asked about', async () => {
    const asks = refusal(409, 'asks-back', 'Is it meant?', {
      questions: [{ about: 'slip', sentence: 'Is it 41.2 kgf?', corrected: null }],
    });
    const sent = server({ 'POST /api/readings/reading-1/amend': asks });
    const choices = ['N', 'kgf'].map((unit) => ({ unit, text: `412 ${unit}`, sentence: `412 ${unit}` }));
    const kept = reading('412 (unit not known)', { undecided: true, choices });
    show(<ReadingEntry run="run-4" channel={channel('force', 'N')} reading={kept} write />);
    for (const unit of ['kgf', 'N', 'N']) {
      await userEvent.click(screen.getByRole('button', { name: `It is 412 ${unit}` }));
      await screen.findByText('Is it 41.2 kgf?');
    }
    await waitFor(() => expect(of(sent, 'POST', '/api/readings/reading-1')).toHaveLength(3));
    expect(of(sent, 'POST', '/api/readings/reading-1').map((s) => s.body['confirmed'])).toEqual([
      '',
      '',
      'Is it 41.2 kgf?',
    ]);
  });

  it('is refused with a sentence, and what was typed stays', async () => {
    const sentence = 'A mass is no force: give it in N, or in kgf.';
    server({ 'PUT /api/readings': refusal(422, 'invalid', sentence) });
    show(entry(fresh()));
    await userEvent.type(field(), '4 kg');
    await userEvent.click(keep());
    await screen.findByText(sentence);
    expect(field().value).toBe('4 kg');
    expect(field().getAttribute('aria-invalid')).toBe('true');
    await userEvent.type(field(), 'f');
    expect(screen.queryByText(sentence)).toBeNull();
  });
});

describe('a reading that is asked back', () => {
  const questions = [
    { about: 'slip', sentence: 'The last five lay between 40 and 43 N: is it 41.2 N?', corrected: '41.2 N' },
    { about: 'resolution', sentence: 'The cell reads to 0.1 N.', corrected: null },
  ];
  const asked = () => {
    const sent = server({ 'PUT /api/readings': [refusal(409, 'asks-back', 'Is it meant?', { questions }), {}] });
    show(entry(fresh()));
    return sent;
  };

  it('is kept corrected, with the trace of what was typed', async () => {
    const sent = asked();
    await userEvent.type(field(), '412');
    await userEvent.click(keep());
    await userEvent.click(await screen.findByRole('button', { name: 'It is 41.2 N' }));
    await waitFor(() => expect(of(sent, 'PUT', '/api/readings/')).toHaveLength(2));
    const again = of(sent, 'PUT', '/api/readings/')[1]!;
    expect(again.body).toMatchObject({ text: '41.2 N', confirmed: `Typed 412, corrected: ${questions[0]!.sentence}` });
    expect(again.url).toBe(of(sent, 'PUT', '/api/readings/')[0]!.url);
  });

  it('is kept as typed, with all that was asked', async () => {
    const sent = asked();
    await userEvent.type(field(), '412');
    await userEvent.click(keep());
    await userEvent.click(await screen.findByRole('button', { name: 'It is as typed: 412' }));
    await waitFor(() => expect(of(sent, 'PUT', '/api/readings/')).toHaveLength(2));
    expect(of(sent, 'PUT', '/api/readings/')[1]!.body).toMatchObject({
      text: '412',
      confirmed: `${questions[0]!.sentence} ${questions[1]!.sentence}`,
    });
  });

  it('can be typed again, and nothing is called wrong', async () => {
    const sent = asked();
    await userEvent.type(field(), '412');
    await userEvent.click(keep());
    await userEvent.click(await screen.findByRole('button', { name: 'Type it again' }));
    expect(screen.queryByRole('alert')).toBeNull();
    expect(of(sent, 'PUT', '/api/readings/')).toHaveLength(1);
  });
});

describe('a kept reading', () => {
  it('is amended with a reason, under the version that was seen', async () => {
    const sent = server();
    show(entry(fresh(), true, ['41.2 N', { version: 4 }]));
    await userEvent.click(screen.getByRole('button', { name: 'Amend force' }));
    await userEvent.type(screen.getByLabelText('The right value, in N'), '43');
    await userEvent.type(screen.getByLabelText('Why?'), 'Misread');
    await userEvent.click(screen.getByRole('button', { name: /^(Amend|Keep)/ }));
    await waitFor(() => expect(of(sent, 'POST', '/api/readings/reading-1/amend')).toHaveLength(1));
    expect(of(sent, 'POST', '/api/readings/reading-1/amend')[0]!.body).toEqual({
      text: '43',
      unit: 'N',
      reason: 'Misread',
      version: 4,
      confirmed: '',
    });
    await waitFor(() => expect(screen.queryByLabelText('Why?')).toBeNull());
  });

  it('says what it was first, who amended it and why', () => {
    server();
    const amendments = [{ text: '41.2 N', by: 'Tobias', at: '2026-03-02T10:05:00Z', reason: 'Misread' }];
    show(entry(fresh(), true, ['43 N', { typed: reading('41.2 N').typed, amendments, confirmed: 'Is it?' }]));
    expect(screen.getByText('First typed as 41.2 N; amended by Tobias: Misread')).toBeTruthy();
    expect(screen.getByText('Asked back: Is it?')).toBeTruthy();
  });

  it('is only looked at by those who may not write', () => {
    server();
    show(entry(fresh(), false, ['41.2 N']));
    expect(screen.queryByRole('button')).toBeNull();
    expect(screen.getByText('41.2 N')).toBeTruthy();
  });

  it('says so where nobody read it', () => {
    server();
    show(entry(fresh(), false));
    expect(screen.getByText('force: not read.')).toBeTruthy();
  });
});
