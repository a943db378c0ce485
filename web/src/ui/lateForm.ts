import { lazy } from 'react';

import type { Values } from './fields';
import { loadMenu } from './Menu';

const load = () => import('./RecordForm').then(({ RecordForm }) => ({ default: RecordForm<Values> }));

/** The form of records is fetched when the sheet stands: nobody fills one in before, and without a connection it is there. */
export const RecordForm = lazy(load);

const loadWithdraw = () => import('./WithdrawRecord').then((late) => ({ default: late.WithdrawRecord }));

export const WithdrawRecord = lazy(loadWithdraw);

export function fetchForms(): void {
  window.setTimeout(() => void Promise.all([load(), loadWithdraw(), loadMenu()]).catch(() => undefined), 1500);
}
