import 'fake-indexeddb/auto';
import { describe, expect, it } from 'vitest';

import { dropDraft, keepDraft, keepFor, readDraft } from './drafts';

describe('what waits on this device', () => {
  it('belongs to the person who typed it', async () => {
    keepFor('ines@hollowlane.example');
    await keepDraft('reading:1', { text: '41.2' });
    keepFor('tobias@hollowlane.example');
    expect(await readDraft('reading:1')).toBeUndefined();
    await keepDraft('reading:1', { text: '50' });
    await dropDraft('reading:1');
    keepFor('ines@hollowlane.example');
    expect(await readDraft('reading:1'), 'Signing out and in drops nothing.').toEqual({ text: '41.2' });
  });

  it('is what was typed last, until it is dropped', async () => {
    await keepDraft('note', 'a');
    await keepDraft('note', 'ab');
    expect(await readDraft('note')).toBe('ab');
    await dropDraft('note');
    expect(await readDraft('note')).toBeUndefined();
  });

  it('is nothing where the browser keeps nothing, and typing still works', async () => {
    await expect(keepDraft('odd', () => 'a function cannot be kept')).resolves.toBeUndefined();
    expect(await readDraft('odd')).toBeUndefined();
  });
});
