import { expect, test } from 'vitest';

import { fromForm, toForm } from '../../ui/fields';
import type { Schemas } from '../../api/client';
import { articleFields, articleOf } from './forms';

const sheet = { methods: ['Drop'], modes: ['Seam split'] };
const arms = [{ name: 'wave' }] as Schemas['Arm'][];

test('what is not picked of an article is sent as a text, not as nothing', () => {
  const fields = articleFields(sheet, arms, [{ id: 'b', letter: 'B' }]);
  const typed = toForm(fields, {
    serial: 'W-1',
    revision: 'b',
    uses: [{ howLong: '30 beds', without: ['Seam split'] }],
  });
  expect(articleOf(fromForm(fields, typed))).toMatchObject({
    arm: '',
    scale: '',
    uses: [{ howLong: '30 beds', without: ['Seam split'], method: '', levels: [] }],
  });
});

test('use outside trials keeps what it was like', () => {
  const use = { howLong: '12 h', without: [], method: 'Drop', levels: ['height: 60 cm', 'soil: dry'] };
  const fields = articleFields(sheet, [], []);
  const sent = articleOf(fromForm(fields, toForm(fields, { uses: [use] })));
  expect(sent['uses']).toMatchObject([use]);
  expect(sent['arm']).toBe('');
});
