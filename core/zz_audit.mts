import { readFileSync } from 'node:fs';
import { Understander } from '@sounding/core/language/understand.ts';
import { modelForSituation } from '@sounding/core/diagnosis/model.ts';
import { evidenceFor } from '@sounding/core/diagnosis/evidence.ts';
const edition = JSON.parse(readFileSync('knowledge/dist/edition.json','utf8'));
const U = new Understander(edition);
const RV:any={always:.97,usually:.8,often:.5,sometimes:.2,seldom:.05,never:.005};
let out:any[]=[];
for(const c of edition.causes){
  const rates=new Map(c.rates.map((r:any)=>[r.finding,r.answers]));
  const seen=new Map();
  for(const h of c.heard??[]) for(const clause of h.split(/[;,]/)){
    const u=U.understand([clause.trim()] as any);
    for(const r of u.readings as any[]){
      const f=edition.findings.find((f:any)=>f.id===r.finding); const a=f?.answers.find((a:any)=>a.id===r.answer);
      if(!a||r.answer===f.absent) continue;
      const ans:any=rates.get(r.finding); 
      const p=ans? (RV[ans[r.answer]]??null):'none';
      if(p===null || (typeof p==='number'&&p<0.15)) { const k=r.finding+'='+r.answer; seen.set(k,(seen.get(k)??[]).concat(`"${clause.trim()}"`)); }
    }
  }
  for(const [k,v] of seen) out.push([c.id,k,v.join(' ')]);
}
for(const [a,b,c] of out) console.log(a,'|',b,'|',c.slice(0,170));
