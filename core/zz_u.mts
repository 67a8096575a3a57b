import fs from 'node:fs';
import { Understander } from '/work/main/core/src/language/understand.ts';
import { Consultant } from '/work/main/core/src/consult/consult.ts';
import { evidenceIn } from '/work/main/core/src/language/evidenceIn.ts';
const e=JSON.parse(fs.readFileSync('/work/main/knowledge/dist/edition.json','utf8'));
const u=new Understander(e), c=new Consultant(e);
for (const a of process.argv.slice(2)) { const [words,date='2026-06-15',climate='continental',host='']=a.split('|'); const parts=words.split(';').map(p=>p.includes('=')?{ask:p.split('=')[0],say:p.split('=')[1]}:p);
const r=u.understand(parts as never); console.log('##',words,'\n  host',r.host?.id,' not:',r.notUnderstood.join(','), ' care', r.care.map((x:any)=>x.topic).join()); console.log('  ',r.readings.map((x:any)=>x.finding+'='+x.answer+(x.channel==='caller-unsure'?'?':'')).join('  '));
const s=c.consult({host:host||(r.host?.id??null),date,climate,hemisphere:'N',setting:'phone',readings:evidenceIn(r),unanswered:[],weather:null} as never); console.log('  ',s.candidates.slice(0,5).map((x:any)=>x.cause+' '+x.probability.toFixed(2)).join('  '),' → ',s.decision.act, s.decision.why.slice(0,90)); }
