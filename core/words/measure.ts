import type { MeasuredKind } from '../measure/kinds';
import type { Patch } from '../measure/plug';
import { CABLES } from '../gear/cables';
import { modelOf } from '../gear/catalogue';
import { formatDbu, formatNumber, formatQuantity } from '../units/format';
import { settingName } from './names';

/** How things are plugged for a measurement, in words. */
export function patchText(patch: Patch, kind: MeasuredKind): string {
  switch (patch.is) {
    case 'loop':
      return 'Plug a short lead from the output to the input.';
    case 'loaded':
      return `Leave it, and put the ${formatQuantity('resistance', patch.load)} resistor across it: tip to sleeve.`;
    case 'open':
      return `Take that resistor off, and put the ${formatQuantity('resistance', patch.series)} one between output and input: tip to tip.`;
    case 'across':
      return kind === 'cable'
        ? 'Leave it, and plug one end of the lead in beside the input; its other end stays open.'
        : kind === 'input'
          ? 'Leave it, and plug the input that is measured in beside the interface’s own.'
          : `Leave it, and plug the ${kind === 'output' ? 'output, silent,' : 'instrument'} in beside the input.`;
    case 'through':
      return 'Take the loop apart: output into the DI, the DI into the input. The gain stays as it was.';
    case 'common':
      return 'Take the resistors off. Feed both legs of the input alike: the output’s tip to pins 2 and 3, its sleeve to pin 1.';
    case 'core':
      return 'Leave it. A low tone gets louder, until the DI’s core is full or the output is.';
    case 'next':
      return 'Plug the output into the input beside, straight; nothing stays in this one.';
  }
}

/** What is measured, in a word. */
export const KIND_NAMES: Readonly<Record<MeasuredKind, string>> = {
  coil: 'pickup',
  piezo: 'piezo',
  output: 'output',
  input: 'input',
  cable: 'lead',
  di: 'DI',
  interface: 'this interface itself'
};

/** `Inductance 3.12 H, Resistance 8.4 kΩ`: what was measured of a thing, by the names of its values. @param of a model, or null for a cable */
export const measuredText = (values: Readonly<Record<string, number>>, of: string | null): string =>
  Object.entries(values)
    .map(([name, value]) => {
      const kind = of === null ? CABLES.mic.params[name as 'cShield']?.quantity : modelOf(of).params[name]?.quantity;
      const figure =
        kind === undefined
          ? formatNumber(value)
          : kind === 'level'
            ? formatDbu(value, 1)
            : formatQuantity(kind, value, 3);
      return `${settingName(name).toLowerCase()} ${figure}`;
    })
    .join(', ');
