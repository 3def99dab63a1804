import { type Kit, unitOf } from '../kit/schema';
import { labelKey } from '../kit/units';
import { kindOf } from '../words/kit-life';
import type { Label } from './cables';

/** Labels for things that have a number, in the order of their numbers. @param owner whose they are */
export function unitLabelsOf(kit: Kit, owner: string): Label[] {
  return Object.entries(kit)
    .flatMap(([id, item]): Label[] => {
      const unit = unitOf(item);
      if (!unit) return [];
      const at = [owner, unit.serial].filter(Boolean).join(', ');
      return [{ key: id, tag: unit.label, line: kindOf(item), lineId: id, at }];
    })
    .sort((a, b) => labelKey(a.tag).localeCompare(labelKey(b.tag), 'en', { numeric: true }));
}
