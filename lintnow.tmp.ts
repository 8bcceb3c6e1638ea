import { compileGuide, partings } from '@pause/core';
import { lint } from '@pause/core/questions';
import { shippedGuide } from '@pause/guide';
const g=compileGuide(shippedGuide());
for (const f of lint(g)) if (f.code==='few-groups') { const [t,o]=[g.taxon(f.target)!,g.taxon(f.taxon)!]; const by=new Map<number,string[]>(); for (const st of new Set(t.taxon.parts.flatMap(p=>p.stages))) { const r=partings(g,t,o,[st]); console.log('   ',st,[...new Set(r.map(x=>x.group))].join(' ')); } console.log('G',f.target,f.taxon,f.most+'/'+f.need); } else if (f.code==='few-bars') console.log('B',f.target,f.taxon,f.stage,f.most+'/'+f.need); else console.log(JSON.stringify(f));
