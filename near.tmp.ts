import { compileGuide } from '@pause/core';
import { shippedGuide } from '@pause/guide';
const g=compileGuide(shippedGuide());
for (const c of g.characters) if (c.character.kind==='colour') { const s=(c.character as any).states; console.log(c.id, s.map((x:any,i:number)=>x.id+'~'+s.filter((y:any,j:number)=>j!==i&&(c.near[i]!>>>j&1)).map((y:any)=>y.id).join('+')).filter((t:string)=>!t.endsWith('~')).join('  ')); }
