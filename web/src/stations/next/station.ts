import { nextQuery } from '../../api/queries';
import { view, type Registered } from '../../ui/place';

export const station: Registered = {
  name: 'next',
  place: 5,
  views: [
    view(
      'next',
      () => import('./Next'),
      (client, revision) => client.prefetchQuery(nextQuery(revision)),
    ),
    view('next/decision/:decision', () => import('./DecisionPage')),
  ],
};
