import type { RowFault } from '../kit/csv';
import type { KitFault } from '../reader/kit';
import type { EditFault } from '../plan/edit';
import type { PlanFault } from '../plan/integrity';
import type { ResponseFault } from '../plan/own';
import type { LoadFault } from '../plan/load';
import type { Edit } from '../plan/schema';
import type { SayFault } from '../reader/draft';
import type { UnitError } from '../units/parse';
import { formatQuantity } from '../units/format';
import { PLUG_NAMES, settingName } from './names';
import type { Plug } from '../gear/sockets';

/** Why a field of a plan file stands in the way. */
export function loadFaultText(fault: LoadFault): string {
  return fault.kind === 'shape' ? fault.message : planFaultText(fault);
}

function planFaultText(fault: PlanFault): string {
  switch (fault.code) {
    case 'unknown-model':
      return `there is no model “${fault.got}”`;
    case 'bad-setting': {
      const f = fault.fault;
      if (f.code === 'unknown-setting') return `this model has no setting “${f.setting}”`;
      if (f.code === 'not-a-choice') return `must be one of ${f.choices.join(', ')}`;
      const show = (v: number): string => formatQuantity(f.spec.quantity, v);
      return `must lie between ${show(f.low)} and ${show(f.high)}`;
    }
    case 'missing-device':
      return `there is no device “${fault.got}”`;
    case 'missing-port':
      return `this device has no port “${fault.got}”`;
    case 'wrong-way':
      return `port “${fault.got}” faces the wrong way: cables run from an output to an input`;
    case 'port-taken':
      return `cable “${fault.by}” is in this socket already`;
    case 'bad-plug':
      return `a cable of this kind has ${fault.choices.map((p) => PLUG_NAMES[p as Plug]).join(', ')}, not “${fault.got}”`;
    case 'cycle':
      return 'the signal comes back to where it started';
    case 'missing-supply':
      return `there is no supply “${fault.got}”`;
    case 'missing-host':
      return `there is no host “${fault.got}”`;
    case 'missing-own':
      return `there is no own model “${fault.got}”`;
    case 'other-base':
      return `own model “${fault.got}” is made from “${fault.base}”, which this device is not`;
  }
}

/** Why a table is no response. */
export function responseFaultText(fault: ResponseFault): string {
  switch (fault.code) {
    case 'no-numbers':
      return `Row ${fault.row} (“${fault.text}”) has no frequency and level in its first two columns.`;
    case 'not-rising':
      return `Row ${fault.row}: frequencies must rise from row to row.`;
    case 'out-of-bounds':
      return `Row ${fault.row} (“${fault.text}”): frequencies lie between 1 Hz and 100 kHz, levels within ±120 dB.`;
    case 'too-many':
      return `At most ${fault.most} rows.`;
    case 'too-few':
      return 'A response has at least two rows: hertz, then decibels.';
  }
}

/** Why an edit could not be done. */
export function editFaultText(fault: EditFault): string {
  switch (fault.code) {
    case 'exists':
      return 'It is there already.';
    case 'gone':
      return 'What it changes is no longer there.';
    case 'changed':
      return `Somebody has changed ${fault.path.length > 0 ? settingName(fault.path[fault.path.length - 1]).toLowerCase() : 'it'} since.`;
    case 'bad-row':
      return `${fault.where || 'It'} would be wrong: ${fault.message}.`;
    case 'too-many':
      return `A show has at most ${fault.most} ${fault.table}.`;
    case 'breaks-plan':
      return `It would leave the plan unwired: ${planFaultText(fault.faults[0])}.`;
  }
}

/** What an edit was, for undo and for the list of unsent ones. */
export function editText({ label }: Pick<Edit, 'label'>): string {
  const of = label.subject;
  switch (label.code) {
    case 'add-lines':
      return `add ${of} and more`;
    case 'add-line':
      return `add ${of}`;
    case 'say-line':
      return `edit ${of}`;
    case 'remedy':
      return `a fix for ${of}`;
    case 'route':
      return `another option for ${of}`;
    case 'propose':
      return `the proposal for ${of}`;
    case 'kit':
      return `the kit: ${of}`;
    case 'venue':
      return `the supplies of ${of}`;
    case 'recall':
      return `the settings of ${of}`;
    case 'school':
      return `the rule of thumb: ${of}`;
    case 'delete-line':
      return `delete ${of}`;
    case 'copy-line':
      return `duplicate ${of}`;
    case 'set':
      return `change ${of}`;
    default:
      return label.code;
  }
}

/** What is wrong in a spoken line, and the way out. */
export function sayFaultText(fault: SayFault): string {
  switch (fault.code) {
    case 'unknown':
      return `“${fault.piece.text}” is not understood.`;
    case 'twice':
      return `A second ${fault.role} (“${fault.piece.text}”): a line has one.`;
    case 'bad-value':
      return fault.expected === ''
        ? `“${fault.text}” does not go with what it was said of.`
        : `“${fault.text}” cannot be read here; expected ${fault.expected}.`;
    case 'no-such-setting':
      return `There is no “${fault.text}” here; there is ${fault.known.join(', ')}.`;
    case 'no-such-line':
      return fault.known.length === 0
        ? `There is no line yet that “${fault.name}” could be.`
        : `No line is called “${fault.name}”. There are: ${fault.known.slice(0, 8).join(', ')}.`;
    case 'too-many-boxes':
      return `“${fault.piece.text}” is one DI too many: at most ${fault.most} on a line.`;
    case 'too-long':
      return `${fault.piece.text} is too long; ${fault.most} m at most.`;
    case 'nothing-to-set':
      return `“${fault.piece.text}” needs ${fault.needs === 'input' ? 'an input' : `a ${fault.needs}`} in the line.`;
  }
}

/** What may be typed where a quantity was not understood. */
export function unitFaultText(error: UnitError): string {
  switch (error.code) {
    case 'empty':
      return `Type a value, for example ${error.expected}.`;
    case 'not-a-number':
      return `“${error.got}” has no number in it that fits. Expected ${error.expected}.`;
    case 'unknown-unit':
      return `The unit in “${error.got}” does not belong here. Expected ${error.expected}.`;
    case 'ambiguous':
      return `“${error.got}” may be a decimal or a thousand. Write 1.5 or 1000. Expected ${error.expected}.`;
  }
}

const ROW_FAULTS: Readonly<Record<RowFault['code'], string>> = {
  missing: 'is missing',
  'not-known': 'is not known',
  'not-a-number': 'is not a number that fits',
  'too-long': 'is too long or too large',
  'no-column': 'is a column that the first row has to name'
};

/** What is wrong in a row of a kit's file. */
export const rowFaultText = ({ row, column, text, code }: RowFault): string =>
  `Row ${row}: ${column}${text && code !== 'no-column' ? ` “${text}”` : ''} ${ROW_FAULTS[code]}.`;

/** What is wrong in a list of kit, and the way out. */
export function kitFaultText(fault: KitFault): string {
  switch (fault.code) {
    case 'not-understood':
      return `“${fault.text}” is not understood. Type a DI, an adapter, or a lead with its length and plugs.`;
    case 'no-length':
      return `How long is “${fault.text}”? For example 3 m.`;
    case 'too-many':
      return `“${fault.text}”: ${fault.most} of one thing at most.`;
  }
}

/** Why protective earth stays, and what to do instead. */
export const EARTH_REFUSED = {
  reason:
    'The protective earth is never removed: with a fault inside, strings and chassis would be at mains voltage, and no breaker would trip.',
  instead:
    'Open the loop on the audio side instead: lift the ground at an isolated DI, put in a 1:1 isolator, balance the run, power both ends from one point, or run the source on a battery.'
} as const;
