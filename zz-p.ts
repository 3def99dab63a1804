import { cut } from './core/reader/trade/cut';
for (const t of process.argv.slice(2)) console.log(cut(t).map((p:any)=>`${p.text}=${p.read.is}${p.read.model??p.read.instrument??''}@${p.part}`).join('  '));
