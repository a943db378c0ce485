import { findQuery } from '../../api/queries';
import { view, type Registered } from '../../ui/place';

export const station: Registered = {
  name: 'find',
  place: 3,
  views: [
    view(
      'find',
      () => import('./Find'),
      (client, revision) => client.prefetchQuery(findQuery(revision)),
    ),
  ],
};
