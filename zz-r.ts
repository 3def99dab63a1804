import fs from 'fs';
import { readTrade } from './core/reader/trade/read';
import { boxesOfSpec } from './core/plan/spec';
for (const t of fs.readFileSync(process.argv[2],'utf8').split('\n').filter(Boolean)) {
  let r: any; try { r = readTrade(t); } catch (e:any) { console.log(t,'\n   ERR', e.message); continue; }
  const { specs, said, metres, ignored, guessed, assumed } = r;
  console.log(t);
  console.log('   ', specs.length, specs.map((s:any)=>`[${s.channel??''}] ${s.name??''} : ${s.source.model} > ${boxesOfSpec(s).map((b:any)=>b.model).join('+')||'-'} > ${s.input.model}`).slice(0,4).join(' || '), metres!=null?`${metres}m`:'', JSON.stringify(said), ignored?.length?`IGN ${ignored.map((p:any)=>p.text)}`:'', guessed?.length?`GUESS ${guessed.map((p:any)=>p.text+'~'+p.as)}`:'');
}
