import { lazy } from 'react';

import type { Registered } from '../../ui/place';

export const station: Registered = {
  name: 'next',
  place: 5,
  views: [
    { path: 'next', view: lazy(() => import('./Next')) },
    { path: 'next/decision/:decision', view: lazy(() => import('./DecisionPage')) },
  ],
};
