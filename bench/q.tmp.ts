import { show } from './shows';
import { judgeWhole } from '../core/judge/judge';
import { Whole, type Pieces } from '../core/judge/whole';
const plan = show(64); const pieces: Pieces = new Map(); judgeWhole(new Whole(plan, pieces));
const w = new Whole(plan, pieces); const s = w.solved(); w.solved = () => s;
for (let k = 0; k < 1500; k++) judgeWhole(w);
