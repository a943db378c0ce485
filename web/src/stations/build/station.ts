import { lazy } from 'react';

import type { Registered } from '../../ui/place';

export const station: Registered = {
  name: 'build',
  place: 1,
  views: [{ path: 'build', view: lazy(() => import('./Build')) }],
};
