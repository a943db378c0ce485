import { weighQuery } from '../../api/queries';
import { view, type Registered } from '../../ui/place';

export const station: Registered = {
  name: 'weigh',
  place: 4,
  views: [
    view(
      'weigh',
      () => import('./Weigh'),
      (client, revision) => client.prefetchQuery(weighQuery(revision, '')),
    ),
  ],
};
