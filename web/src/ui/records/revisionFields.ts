import type { Field } from '../fields';

/** Put right rather than changed: the runs of the build take it over. */
export const CORRECTION: Field = {
  name: 'correction',
  label: 'It was always so: why?',
  hint: 'Only where it was forgotten or written down wrongly. Its runs then take it over, and the reason stays beside them. Empty: it is a change from now on.',
};

/** What is asked of a build as such. */
export const REVISION_FIELDS: Field[] = [
  { name: 'letter', label: 'Letter on the tag', half: true },
  { name: 'branch', label: 'Branch', half: true, hint: 'Empty on the line that goes on.' },
  { name: 'intent', label: 'What is this build for?' },
  { name: 'firmware', label: 'Firmware', half: true },
  {
    name: 'state',
    label: 'State',
    kind: 'select',
    half: true,
    options: [
      { value: 'building', label: 'being built' },
      { value: 'built', label: 'built' },
      { value: 'abandoned', label: 'abandoned' },
    ],
  },
  {
    name: 'arms',
    label: 'Variants inside this build',
    kind: 'lines',
    hint: 'One a line: wave soft ×2: shape = wave; wrap = soft. After a bar, why it was eliminated before it was tried.',
  },
  { name: 'chosenArm', label: 'The variant that was chosen', half: true, hint: 'Its values go into the next build.' },
  { name: 'family', label: 'They all stay: sizes, sides, fittings', kind: 'check', half: true },
  { name: 'worstArm', label: 'The worst of them', half: true, hint: 'Where a requirement asks it of the worst alone.' },
  { name: 'stateReason', label: 'If abandoned: why, and what would bring it back?', kind: 'area' },
];
