import { buildQuery } from '../../api/queries';
import { view, type Registered } from '../../ui/place';

export const station: Registered = {
  name: 'build',
  place: 1,
  views: [
    view(
      'build',
      () => import('./Build'),
      (client, revision) => client.prefetchQuery(buildQuery(revision)),
    ),
  ],
};
