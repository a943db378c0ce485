import { lazy } from 'react';

import type { Registered } from '../../ui/place';

export const station: Registered = {
  name: 'try',
  place: 2,
  views: [
    { path: 'try', view: lazy(() => import('./Try')) },
    { path: 'try/run/:run', view: lazy(() => import('./Run')) },
  ],
};
