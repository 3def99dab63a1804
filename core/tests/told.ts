import { readTrade } from '../reader/trade/read';

/** What was read, each line as "name: source box channel". */
export const told = (text: string): string =>
  readTrade(text)
    .specs.map((s) => `${s.name}: ${s.source.model}${s.box ? ` ${s.box.model}` : ''} ${s.channel ?? '-'}`)
    .join(', ');
