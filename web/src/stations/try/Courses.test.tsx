// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it } from 'vitest';

import type { Schemas } from '../../api/client';
import { show } from '../../test/screen';
import { of, server } from '../../test/server';
import { runSheet } from '../../test/sheets';
import { Courses } from './Courses';

const row: Schemas['CourseRow'] = {
  course: {
    id: 'course-1',
    version: 1,
    run: 'run-3',
    name: 'Plate',
    text: '0; 80\n600; 35',
    unit: '°C',
    timeUnit: 's',
    marks: [],
    by: 'Ines',
  },
  sentence: 'Plate: from 80 °C to 35 °C in 10 min, 2 values.',
  t: [0, 600],
  y: [80, 35],
  results: [
    { sentence: 'First at 60 °C: 267 s', reading: '267 s', at: 267, isTime: true, origin: 'From the course of Plate' },
    { sentence: 'Peak: 80 °C', reading: '80 °C', at: null, isTime: false, origin: '' },
    { sentence: 'First at 10 °C: never in this course', reading: '', at: null, isTime: true, origin: '' },
  ],
  fit: '',
};

it('is drawn with its moments, and offers each result only to a channel that takes it', async () => {
  const sent = server();
  show(<Courses sheet={{ ...runSheet(), courses: [row] }} write />);
  const figure = screen.getByRole('img', { name: 'Plate along time' });
  expect(figure.querySelectorAll('line[stroke-dasharray]'), 'One moment was found.').toHaveLength(1);
  expect(figure.querySelector('polyline')?.getAttribute('points')?.split(' ')).toHaveLength(2);
  expect(
    screen.getAllByRole('button', { name: /^Keep as/ }),
    'A temperature is neither a force nor a time.',
  ).toHaveLength(1);
  await userEvent.click(screen.getByRole('button', { name: 'Keep as time' }));
  await waitFor(() => expect(of(sent, 'PUT', '/api/readings/')).toHaveLength(1));
  expect(of(sent, 'PUT', '/api/readings/')[0]!.body).toEqual({
    run: 'run-3',
    channel: 'time',
    text: '267 s',
    unit: '',
    confirmed: 'From the course of Plate',
  });
});

it('can be looked at, and not written, by whoever may only look', () => {
  server();
  show(<Courses sheet={{ ...runSheet(), courses: [row] }} write={false} />);
  expect(screen.queryByRole('button')).toBeNull();
  expect(screen.getByText('Peak: 80 °C')).toBeTruthy();
});
