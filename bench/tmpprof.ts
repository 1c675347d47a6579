import { Assembler, assemble, tallowOf, tallowWharf, TakedownEngine } from '../core/src';
import { philosophyOf, STANDARDS } from '../core/src/standard';
const items = tallowWharf(tallowOf(10_000));
const b0 = assemble(items);
const lift = philosophyOf(STANDARDS[b0.brief.family], b0.brief.combinationRule).rules.lifting;
const mode = process.argv[2];
if (mode === 'layer') {
const assembler = new Assembler();
const engine = new TakedownEngine(lift);
engine.run(assembler.assemble(items));
const ts:number[]=[];
for (let n=0;n<40;n++){
  const changed = items.map((item) => item.kind === 'buildUp' ? { ...item, body: { ...item.body, layers: item.body.layers.map((layer, i) => (i === 0 ? { ...layer, load: layer.load * (1 + n / 100) } : layer)) } } : item);
  const s=performance.now(); engine.run(assembler.assemble(changed as any)); ts.push(performance.now()-s);
}
console.log(ts.map(t=>t.toFixed(0)).join(' '));
} else {
 const ts:number[]=[];
 for (let n=0;n<25;n++){ const s=performance.now(); const b=assemble(items); new TakedownEngine(lift).run(b); ts.push(performance.now()-s); }
 console.log(ts.map(t=>t.toFixed(0)).join(' '));
}
