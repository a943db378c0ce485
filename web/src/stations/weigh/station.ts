import { lazy } from 'react';

import type { Registered } from '../../ui/place';

export const station: Registered = {
  name: 'weigh',
  place: 4,
  views: [{ path: 'weigh', view: lazy(() => import('./Weigh')) }],
};
