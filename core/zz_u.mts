// usage: npx tsx core/zz_u.mts FILE idx...   or  line "words;Q=A|date|climate|host"
import { evidenceIn } from '@sounding/core/language/evidenceIn.ts';
import { readFileSync } from 'node:fs';
import { Understander } from '@sounding/core/language/understand.ts';
import { Consultant } from '@sounding/core/consult/consult.ts';
const edition = JSON.parse(readFileSync('knowledge/dist/edition.json','utf8'));
const U = new Understander(edition); const C = new Consultant(edition);
const [file,...ids]=process.argv.slice(2);
const calls=readFileSync(file!,'utf8').trim().split('\n').map(l=>JSON.parse(l)).filter(c=>ids.some(i=>c.id.endsWith(i)));
for(const c of calls){
  const host=U.resolvePlant? U.resolvePlant(c.host??''):null;
  const words=[c.opening,...c.facts.map((f:any)=>({ask:f.ask,say:f.say}))];
  const us=words.map(w=>U.understand([w] as any)); const u=us[0]!;
  const plant=(host as any)?.id??(host as any)??u.host?.id??null;
  const r=us.flatMap(x=>evidenceIn(x)) as any[];
  console.log('##',c.id,plant, c.opening,'|',c.facts.map((f:any)=>f.say).join(' / '));
  for(const x of r) if(x.finding!=='wording') console.log('   ',x.finding,'=',x.answer, x.sure??x.doubt??'', JSON.stringify(x.from??''));
  const s:any=C.consult({host:plant,unanswered:[],setting:'phone',readings:r,date:c.date,climate:c.climate,hemisphere:c.hemisphere,weather:null} as any);
  for(const k of s.candidates.slice(0,4)) console.log('   >',k.cause,k.probability.toFixed(2), (k.evidence??[]).map((e:any)=>`${e.finding}:${(e.decibans??0).toFixed(0)}`).join(' '));
}
