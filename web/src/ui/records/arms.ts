import type { Schemas } from '../../api/client';

type Arm = Schemas['Arm'];

/** An arm as a line of a form: `wave, soft ×2: shape = wave; wrap = soft | too soft to hold`. */
export function armLine(arm: Arm): string {
  const values = arm.values.map((v) => `${v.name} = ${v.text}`).join('; ');
  return [
    arm.name + (arm.planned === 1 ? '' : ` ×${arm.planned}`) + (values === '' ? '' : `: ${values}`),
    ...(arm.eliminated === '' ? [] : [arm.eliminated]),
  ].join(' | ');
}

/** What such a line says; what cannot be read stays in the name, where it is seen. */
export function armOf(line: string): Arm {
  const [said = '', ...why] = line.split('|');
  const [head = '', ...rest] = said.split(':');
  const count = /^(.*?)\s*[×x*]\s*(\d+)\s*$/.exec(head);
  const values = rest
    .join(':')
    .split(';')
    .map((v) => v.split('='))
    .filter((v) => v.length > 1)
    .map(([name = '', ...text]) => ({ name: name.trim(), text: text.join('=').trim() }));
  return {
    name: (count?.[1] ?? head).trim(),
    planned: count === null ? 1 : Number(count[2]),
    values,
    eliminated: why.join('|').trim(),
  };
}
