import { VIEWS } from '../src/crib/views';
import { yearsOfWork } from './yearsOfWork';
async function main() {
const t0 = performance.now();
const w = await yearsOfWork(Number(process.argv[2] ?? 10));
console.log('filled', Math.round((performance.now() - t0) / 1000), 's');
const sqls = new Map<string, [string, unknown[]]>();
const ask = async (path: string, q: string) => {
  const view = VIEWS.find((v) => v.path === path)!;
  const rows: [number, string, number][] = [];
  const db = new Proxy(w.db, {
    get(target, key) {
      if (key !== 'query') return Reflect.get(target, key);
      return async (sql: string, params: unknown[]) => {
        sqls.set(sql.replace(/\s+/g, ' ').trim().slice(0, 150), [sql, params]);
        const f = performance.now();
        const r = await (target.query as any)(sql, params);
        rows.push([performance.now() - f, sql.replace(/\s+/g, ' ').trim().slice(0, 150), r.length]);
        return r;
      };
    },
  });
  for (let i = 0; i < 16; i += 1) {
    rows.length = 0;
    const f = performance.now();
    const shown = await view.read({ ...w.crib, db } as any, new URLSearchParams(q));
    const ms = performance.now() - f;
    if (i === 15) {
      console.log(`== ${path}?${q}: ${ms.toFixed(1)} ms, in statements ${rows.reduce((n, r) => n + r[0], 0).toFixed(1)} (${rows.length}), ${JSON.stringify(shown).length} bytes`);
      for (const r of rows.slice().sort((a, b) => b[0] - a[0]).slice(0, 5)) { const full = sqls.get(r[1])!; const e = await (w.db.query as any)('explain (analyze, format text) ' + full[0], full[1]); console.log('    ', JSON.stringify(e.slice(-2).map((x: any) => Object.values(x)[0]))); }
      for (const r of rows.sort((a, b) => b[0] - a[0]).slice(0, 7)) console.log('  ', r[0].toFixed(1), r[2], r[1]);
    }
  }
};
for (const a of process.argv.slice(3)) await ask(a.split('?')[0]!, a.split('?')[1] ?? '');
process.exit(0);

}
void main();
