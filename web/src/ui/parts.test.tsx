import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';

import { Table, type Column } from './Table';
import { Texture, TEXTURE_WORDS, TextureKey, type TextureName } from './Texture';
import {
  CAUSE_KIND,
  CHANGE_CLASS,
  CHOICE,
  KIND,
  options,
  OUTCOME,
  REPEATS,
  CONSEQUENCE,
  STANDING,
  VERDICT,
} from './words';

describe('textures', () => {
  const names = Object.keys(TEXTURE_WORDS) as TextureName[];

  it('are told apart without colour', () => {
    const drawn = names.map((name) => renderToStaticMarkup(<Texture name={name} />));
    expect(new Set(drawn).size).toBe(names.length);
  });

  it('are broken where the evidence is against', () => {
    for (const name of names) {
      const isBroken = renderToStaticMarkup(<Texture name={name} />).includes('<polygon');
      expect(isBroken, name).toBe(/against|doubtful|not to meet/.test(TEXTURE_WORDS[name]));
    }
  });

  it('stand in the key with their words', () => {
    const key = renderToStaticMarkup(<TextureKey />);
    for (const word of Object.values(TEXTURE_WORDS)) expect(key).toContain(word);
  });

  it('are hidden from readers, who get the words beside them', () => {
    expect(renderToStaticMarkup(<Texture name="solid" />)).toContain('aria-hidden="true"');
  });
});

describe('the words of closed sets', () => {
  const all = { OUTCOME, VERDICT, CHANGE_CLASS, CONSEQUENCE, CAUSE_KIND, STANDING, CHOICE, KIND, REPEATS };

  it('are there for each, and each another', () => {
    for (const [name, words] of Object.entries(all)) {
      const said = Object.values(words);
      expect(new Set(said).size, name).toBe(said.length);
      for (const word of said) expect(word.trim(), name).not.toBe('');
    }
  });

  it('are no identifiers', () => {
    for (const words of Object.values(all))
      for (const word of Object.values(words)) expect(word).not.toMatch(/[a-z][A-Z]|_/);
  });

  it('become choices in their order', () => {
    expect(options(CHOICE)).toEqual([
      { value: 'open', label: 'to decide' },
      { value: 'in', label: 'goes in' },
      { value: 'wait', label: 'waits' },
      { value: 'drop', label: 'dropped' },
    ]);
  });
});

describe('the table', () => {
  type Row = { name: string; cost: string };
  const columns: Column<Row>[] = [
    { head: 'Part', cell: (row) => row.name },
    { head: 'Cost', cell: (row) => row.cost, right: true, whole: true },
  ];
  const rows: Row[] = [
    { name: 'Arm', cost: '1.10' },
    { name: 'Blade', cost: '2.20' },
  ];
  const drawn = (more: Partial<Parameters<typeof Table<Row>>[0]> = {}) =>
    renderToStaticMarkup(<Table label="Parts" columns={columns} rows={rows} keyOf={(row) => row.name} {...more} />);

  it('has a head for each column and a row for each thing', () => {
    const markup = drawn();
    expect(markup.match(/<th scope="col"/g)).toHaveLength(2);
    expect(markup.match(/<tr/g)).toHaveLength(3);
    expect(markup.indexOf('Arm')).toBeLessThan(markup.indexOf('Blade'));
  });

  it('can be reached and scrolled by keys, and has a name', () => {
    expect(drawn()).toMatch(/tabindex="0" role="region" aria-label="Parts"/i);
  });

  it('has cells that name their row, heads that are only read out, and cells that are wholly filled', () => {
    const more: Column<Row>[] = [
      { head: 'Part', names: true, cell: (row) => row.name },
      { head: 'F', key: 'f', bare: true, look: 'text-center', cell: (row) => row.name.length },
    ];
    const markup = drawn({ columns: more, headless: true, least: 'min-w-[44rem]' });
    expect(markup.match(/<th scope="row"/g)).toHaveLength(2);
    expect(markup).toContain('<thead class="sr-only">');
    expect(markup).toMatch(/<td class="p-0[^"]*text-center/);
    expect(markup).toContain('min-w-[44rem]');
  });

  it('opens a row by its first cell, and only where it may be', () => {
    const markup = drawn({ edit: (row) => (row.name === 'Arm' ? () => undefined : null) });
    expect(markup.match(/<button/g)).toHaveLength(1);
    expect(markup).toMatch(/<button[^>]*><span class="sr-only">Edit <\/span>Arm/);
    expect(markup.match(/<th scope="col"/g)).toHaveLength(2);
    expect(drawn()).not.toContain('<button');
  });

  it('keeps a number in one line', () => {
    expect(drawn().match(/whitespace-nowrap[^"]*">\d/g)).toHaveLength(2);
  });

  it('holds a foot, and looks of rows', () => {
    const markup = drawn({
      foot: (
        <tfoot>
          <tr>
            <td>3.30</td>
          </tr>
        </tfoot>
      ),
      look: (row) => (row.name === 'Blade' ? 'gone' : ''),
    });
    expect(markup).toContain('<tfoot>');
    expect(markup).toMatch(/class="[^"]*gone/);
  });
});
