import { randomUUID } from 'node:crypto';

import { AxeBuilder } from '@axe-core/playwright';
import { expect, type Cookie, type Locator, type Page } from '@playwright/test';

const PASSWORD = process.env['LUSTRUM_PASSWORD'] ?? 'furrow-and-kite-2026';

/** Who signed in on this worker before: a session lasts longer than one test. */
const sessions = new Map<string, Cookie[]>();

/** @param anew with a session of its own, for what signs others out */
export async function signIn(page: Page, who = 'maren@hollowlane.example', anew = false): Promise<void> {
  const within = page.getByRole('button', { name: /people and sign out/ });
  if (!anew) await page.context().addCookies(sessions.get(who) ?? []);
  await page.goto('/');
  await expect(within.or(page.getByLabel('E-mail'))).toBeVisible();
  if (await within.isVisible()) return;
  await page.getByLabel('E-mail').fill(who);
  await page.getByLabel('Password').fill(PASSWORD);
  await patiently(page, page.getByRole('button', { name: 'Sign in' }), within);
  if (!anew) sessions.set(who, await page.context().cookies());
}

/** Opens a station of a build of one of the demo's devices. */
export async function open(page: Page, device: string, letter: string, station: string): Promise<void> {
  await page.goto('/');
  const href = await page
    .getByRole('link', { name: new RegExp(device) })
    .first()
    .getAttribute('href');
  await page.goto(`${href!.split('/').slice(0, 3).join('/')}/${encodeURIComponent(letter)}/${station}`);
  await expect(sentence(page)).toBeVisible();
}

/** On a phone a run is one step at a time. */
export async function step(page: Page, name: 'As found' | 'Read' | 'Seen' | 'End'): Promise<void> {
  const button = page
    .getByRole('group', { name: 'Steps of the run' })
    .getByRole('button', { name: new RegExp(`^${name}`) });
  await button.click();
  await expect(button).toHaveAttribute('aria-pressed', 'true');
}

export function sentence(page: Page) {
  return page.getByTestId('sentence');
}

/**
 * No violation of WCAG 2.2 AA that a machine can find, and nothing that runs out of the page sideways.
 *
 * @param look all of it, colours alone, or all but colours, which are the same tokens at every width
 */
export async function isAccessible(
  page: Page,
  what: string,
  look: 'all' | 'colours' | 'shapes' = 'all',
): Promise<void> {
  // What still slides in has other colours for a moment.
  await page.evaluate(() => Promise.allSettled(document.getAnimations().map((a) => a.finished)).then(() => null));
  // There are no frames to go through.
  const axe = new AxeBuilder({ page }).setLegacyMode(true).options({ resultTypes: ['violations'] });
  if (look === 'colours') axe.withRules('color-contrast');
  else axe.withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']);
  if (look === 'shapes') axe.disableRules('color-contrast');
  const found = await axe.analyze();
  expect(
    found.violations.map((v) => `${what}: ${v.id} at ${v.nodes.map((n) => n.target.join(' ')).join(', ')}`),
  ).toEqual([]);
  const overflow = await page.evaluate(
    () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
  );
  expect(overflow, `${what} runs out of the page`).toBeLessThanOrEqual(1);
}

/** Fills the form of a slip by label. */
export async function fill(page: Page, values: Record<string, string>): Promise<void> {
  const slip = page.getByRole('dialog');
  for (const [label, value] of Object.entries(values)) {
    const field = slip.getByLabel(label, { exact: true });
    if ((await field.evaluate((e) => e.tagName)) === 'SELECT') await field.selectOption({ label: value });
    else await field.fill(value);
  }
}

export async function press(page: Page, name: string | RegExp): Promise<void> {
  await page
    .getByRole('button', { name, exact: typeof name === 'string' })
    .first()
    .click();
}

/**
 * Presses until something is there. A server that is busy with other things answers later than the page waits; it says so,
 * and whoever sees that presses again: sent twice, it is kept once.
 */
export async function patiently(page: Page, button: Locator, there: Locator): Promise<void> {
  const late = page.getByText('Nobody answered within');
  for (let again = 0; again < 5; again += 1) {
    await button.click();
    await expect(there.or(late).first()).toBeVisible();
    if (await there.isVisible()) return;
  }
  await expect(there).toBeVisible();
}

export async function saveSlip(page: Page, name = 'Save'): Promise<void> {
  const slip = page.getByRole('dialog');
  const late = slip.getByText('Nobody answered within');
  const save = slip.getByRole('button', { name, exact: true });
  await save.click();
  for (let again = 0; again < 5; again += 1) {
    await expect(async () => expect((await slip.count()) === 0 || (await late.count()) > 0).toBe(true)).toPass({
      timeout: 30_000,
    });
    if ((await slip.count()) === 0) return;
    await save.click();
  }
  await expect(slip).toBeHidden();
}

/** Writes as any other program would: what is there before a job begins; the job itself is done on screen. */
async function send(page: Page, address: string, body: Record<string, unknown>): Promise<void> {
  const refused = await page.evaluate(
    async ({ address, body }) => {
      const { token } = (await (await fetch('/api/session')).json()) as { token?: string };
      const answer = await fetch(address, {
        method: 'PUT',
        headers: { 'Content-Type': 'application/json', 'X-CSRF-Token': token ?? '' },
        body: JSON.stringify(body),
      });
      return answer.ok ? '' : `${address}: ${await answer.text()}`;
    },
    { address, body },
  );
  expect(refused).toBe('');
}

export async function put(
  page: Page,
  kind: string,
  body: Record<string, unknown>,
  id: string = randomUUID(),
): Promise<string> {
  await send(page, `/api/${kind}/${id}`, body);
  return id;
}

/** A device of its own for one job, with its first build; what it did to others would change their conclusions. */
export async function device(page: Page, name: string): Promise<{ id: string; a: string }> {
  const workspace = await page.evaluate(
    async () => ((await (await fetch('/api/session')).json()) as { workspaces: { id: string }[] }).workspaces[0]!.id,
  );
  const id = await put(page, 'devices', { workspace, name });
  const a = await put(page, 'revisions', { device: id, letter: 'A', state: 'built' });
  return { id, a };
}

/** A run that has ended, with its levels, what was read, and what became of it. */
export async function made(
  page: Page,
  trial: string,
  article: string | null,
  levels: Record<string, string>,
  readings: Record<string, string>,
  outcome = 'held',
): Promise<string> {
  const about = { trial, article, levels: Object.entries(levels).map(([n, text]) => ({ name: n, text })) };
  const run = await put(page, 'runs', about);
  for (const [channel, text] of Object.entries(readings)) {
    await put(page, 'readings', { run, channel, text, confirmed: 'as it was read' });
  }
  const outcomeReason = outcome === 'held' ? '' : 'It did not';
  await send(page, `/api/runs/${run}`, { ...about, outcome, outcomeReason, version: 1 });
  return run;
}
