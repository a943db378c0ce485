import { tryQuery } from '../../api/queries';
import { view, type Registered } from '../../ui/place';

export const station: Registered = {
  name: 'try',
  place: 2,
  views: [
    view(
      'try',
      () => import('./Try'),
      (client, revision) => client.prefetchQuery(tryQuery(revision)),
    ),
    view('try/run/:run', () => import('./Run')),
    view('try/panel/:panel', () => import('./Panel')),
  ],
};
