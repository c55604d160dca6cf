import { checkJobFile, RIGHTS, type CrewRole, type JobEvent } from '@long-miter/core';
import { DeviceListener } from '../../src/features/devices/listener.ts';
import { SupplierStandIn } from '../../src/features/suppliers/stand-in.ts';
import type { Route } from '../../src/http/route.ts';
import { Hub } from '../../src/http/hub.ts';
import { routeTable } from '../../src/routes.ts';
import { fuzz } from './fuzz.ts';

/**
 * Sends requests that nobody expects to a running server, then looks whether every job goes out and comes in again.
 * `FUZZ_COOKIE` is the session of whoever sends them, `FUZZ_ROLE` his role (`nobody` without a session), `FUZZ_LEAD` the session of the
 * lead, who looks afterwards.
 */
const [address = '', count = '10000', seed = '1'] = process.argv.slice(2);
const { FUZZ_COOKIE: cookie, FUZZ_ROLE: role, FUZZ_LEAD: lead = cookie } = process.env;
const as = (who: string | undefined): Record<string, string> => (who ? { cookie: who } : {});
const may = (route: Route): boolean =>
  role === undefined ||
  route.role === 'open' ||
  (role !== 'nobody' &&
    (route.role === 'self' || (RIGHTS[role as CrewRole] as readonly string[]).includes(route.role)));
const table = routeTable(new Hub<JobEvent>(), new DeviceListener(), new SupplierStandIn());
const seen = await fuzz(
  table,
  Number(count),
  Number(seed),
  async (method, path, body) => {
    const answer = await fetch(`${address}/api${path}`, {
      method: method.toUpperCase(),
      headers: { 'content-type': 'application/json', ...as(cookie) },
      ...(body === undefined ? {} : { body }),
    });
    const text = await answer.text();
    return {
      body: path === '/jobs' && answer.ok ? (JSON.parse(text) as unknown) : undefined,
      status: answer.status,
      type: (answer.headers.get('content-type') ?? '').split(';')[0]!,
    };
  },
  may,
);
const faults = [...seen.failures];
// Everything is looked at once, after the last of them.
const looks = process.env['FUZZ_LOOKS'] !== 'no';
const jobs = (looks ? await (await fetch(`${address}/api/jobs`, { headers: as(lead) })).json() : []) as {
  id: string;
  name: string;
}[];
for (const { id, name } of jobs) {
  const out = await fetch(`${address}/api/jobs/${id}/file`, { headers: as(lead) });
  const file = await out.text();
  const checked = checkJobFile(JSON.parse(file));
  if (!out.ok || !checked.ok) {
    faults.push(
      `${name} (${id}) does not go out whole: ${out.status} ${checked.ok ? '' : JSON.stringify(checked.issues.slice(0, 3))}`,
    );
    continue;
  }
  const again = await fetch(`${address}/api/jobs/import`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', ...as(lead) },
    body: file,
  });
  const made = (await again.json()) as { id: string };
  if (!again.ok) faults.push(`${name} (${id}) does not come in again: ${JSON.stringify(made).slice(0, 300)}`);
  else {
    const second = await (await fetch(`${address}/api/jobs/${made.id}/file`, { headers: as(lead) })).text();
    const lines = file.split('\n');
    const at = second.split('\n').findIndex((line, k) => line !== lines[k]);
    if (second !== file)
      faults.push(
        `${name} (${id}) goes out another than it came in, line ${at + 1}: ${lines.slice(at - 3, at + 3).join(' ')} became ${second
          .split('\n')
          .slice(at - 3, at + 3)
          .join(' ')}`,
      );
  }
}
for (const fault of faults.slice(0, 20)) console.log(fault);
console.log(
  `${role ?? 'whoever sits there'}: ${seen.answered} requests, ${seen.denied} denied, ${jobs.length} jobs out and in again, ${faults.length} faults`,
);
process.exit(faults.length > 0 ? 1 : 0);
