import { readFileSync } from 'node:fs';
import { Consultant } from '@sounding/core/consult/consult.ts';
import { interview } from '@sounding/core/consult/interview.ts';
import { generator } from '@sounding/core/numbers/random.ts';
import { SimulatedCaller, situationOf, MOST_QUESTIONS } from './callers.ts';
const edition = JSON.parse(readFileSync('knowledge/dist/edition.json','utf8'));
const PER = Number(process.argv[2] ?? 3);
const consultant = new Consultant(edition);
const random = generator(1980);
const findings = new Map(edition.findings.map((f:any)=>[f.id,f]));
let n=0, first=0, three=0;
for (const cause of edition.causes) for (let k=0;k<PER;k++){
  const caller = new SimulatedCaller(edition, cause, random);
  const start:any = {...situationOf(cause, edition.plants, random), hemisphere:'N', setting:'phone', readings: caller.opening(), unanswered:[], weather:null};
  const {asked, standing} = interview(consultant, start, (id)=>[caller.say(findings.get(id) as any,'caller-looked')], MOST_QUESTIONS);
  const place = standing.candidates.findIndex((c:any)=>c.cause===cause.id);
  n++; if(place===0) first++; if(place>=0&&place<3) three++;
  const all=[...start.readings, ...asked.flatMap((a:any)=>a.readings)];
  const lies = all.filter((r:any)=>{ const t=caller.truth.get(r.finding); return t!==r.answer; });
  if(place!==0) console.log(JSON.stringify({cause:cause.id, kind:cause.kind, host:start.host, date:start.date, climate:start.climate, place:place+1, first:standing.candidates.slice(0,3).map((c:any)=>c.cause+' '+c.probability.toFixed(2)), own:standing.candidates[place]?.probability.toFixed(3), told:start.readings.map((r:any)=>r.finding+'='+r.answer+(caller.truth.get(r.finding)!==r.answer?'!':'')), asked:asked.flatMap((a:any)=>a.readings.map((r:any)=>r.finding+'='+r.answer+(caller.truth.get(r.finding)!==r.answer?'!':''))), lies:lies.length}));
}
console.log('TOTAL',n,first/n,three/n);
