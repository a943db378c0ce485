import { lazy } from 'react';

import type { Registered } from '../../ui/place';

export const station: Registered = {
  name: 'find',
  place: 3,
  views: [{ path: 'find', view: lazy(() => import('./Find')) }],
};
