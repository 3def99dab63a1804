import type { CableKindId } from '../../gear/cables';
import { formatNumber } from '../../units/format';
import { CABLE_NAMES } from '../names';
import { article } from '../article';
import { adaptersFor, db, id, model, num, ohm, plug } from './parts';
import type { Said } from './said';

/** What the check of connector says, a code at a time. */

// Said of more than one code.
const FORMULA_PLUG_FITS = 'plug family = socket family';

export const CONNECTOR: Said<'connector'> = {
  'plug-fits': {
    sentence: (f) => `The ${plug(f, 'plug')} plug goes into the ${plug(f, 'socket')} socket.`,
    short: () => 'fits',
    formula: FORMULA_PLUG_FITS,
    reason: 'It mates. Whether it matches is for the other four checks.'
  },
  'plug-does-not-fit': {
    sentence: (f) =>
      `The ${plug(f, 'plug')} plug does not go into the ${model(f)}, which has ${article(plug(f, 'socket'))} socket.${adaptersFor(f)}`,
    short: () => 'does not fit',
    formula: FORMULA_PLUG_FITS,
    reason: 'The other numbers assume an adapter wired contact to contact.'
  },
  'stereo-cancels': {
    sentence: (f) =>
      `Left and right cancel: the balanced ${model(f)} subtracts them, and what both carry is ${db(f.value)} down.`,
    short: () => 'cancels',
    measure: (f) => `${formatNumber(f.value)}\u202FdB`,
    formula: 'V(input) = V(hot) − V(cold), with left on hot and right on cold',
    reason: 'A balanced input takes the difference of its two contacts; voice and bass are in both channels and vanish.'
  },
  'right-shorted': {
    sentence: (f) => `The right channel is shorted to the sleeve and works into ${ohm(f.value)} of its own.`,
    short: () => 'right shorted',
    formula: 'right contact and sleeve are one node',
    reason: 'Only the left channel is heard, and the output stage drives a short.'
  },
  'leg-on-shield': {
    sentence: (f) =>
      `The plug puts the cold leg of the ${model(f)} on its shield: one leg is left, ${db(f.value)} less.`,
    short: () => 'one leg only',
    formula: 'V(out) = V(hot) − 0 instead of V(hot) − V(cold)',
    reason: 'Right for an output that allows it; half the signal is lost, and so is the rejection of hum.'
  },
  'half-balanced': {
    sentence: (f) =>
      `One leg of the ${model(f)} is not connected: ${db(f.value)} less signal, and no rejection of hum.`,
    short: () => 'half balanced',
    formula: 'V(out) = V(hot) − whatever the open leg picks up',
    reason: 'The lead looks balanced and is not; use one with all three contacts wired.'
  },
  'outputs-joined': {
    sentence: (f) =>
      `Left and right are twisted together: each output of the ${model(f, 'source')} drives the other through ${ohm(f.value)}.`,
    short: () => 'outputs joined',
    formula: 'each output works into the other: R(left) + R(right)',
    reason: 'Outputs must never be joined: sum them through two resistors of some kilohms each.'
  },
  'box-as-adapter': {
    sentence: (f) =>
      `The ${model(f)} only changes the plug here: ${article(model(f, 'source'))} is balanced and low-impedance already.`,
    short: () => 'DI as adapter',
    formula: 'a balanced output into a DI made for instruments',
    reason: 'It only costs level. A lead with the right plugs into a line input does the job.'
  },
  'contacts-swapped': {
    sentence: () => 'Hot and cold are swapped: the polarity is inverted.',
    short: () => 'swapped',
    formula: 'first contact of one plug on the second of the other',
    reason: 'Alone it is not heard; together with another take of the same source it cancels bass.'
  },
  'bridged-output': {
    sentence: (f) =>
      f.severity === 'care'
        ? `Both terminals of the bridged ${model(f)} are live: nothing is shorted with the ground lifted, but nothing earthed may touch the ${model(f, 'input')}.`
        : `Both terminals of the bridged ${model(f)} are live, and this connection grounds one of them.`,
    short: (f) => (f.severity === 'care' ? 'bridged' : 'bridged, grounded'),
    formula: 'V(+) = A·v, V(−) = −A·v: neither terminal is ground',
    reason:
      'Use a DI made for bridged outputs, and nothing that ties a terminal to a chassis. Switch off before plugging.'
  },
  'wrong-cable': {
    sentence: (f) =>
      `Loudspeaker level runs on ${article(CABLE_NAMES[id(f, 'kind') as CableKindId])}: too thin, and it can catch fire or break the amplifier.`,
    short: () => 'wrong cable',
    formula: 'loudspeaker level on a shielded lead',
    reason: 'Amplifier outputs want two thick cores beside each other, not a thin core in a shield.'
  },
  'channel-twice': {
    sentence: (f) => `Channel ${num(f, 'channel')} is used twice: ${id(f, 'names')} is on it too.`,
    short: () => 'channel twice',
    formula: 'lines of one channel that are on together',
    reason: 'One channel takes one line. Give one of them another, or put them into different acts.'
  },
  unfinished: {
    sentence: (f) =>
      id(f, 'missing') === 'source' ? 'No source is plugged in yet.' : 'It does not reach an input yet.',
    short: () => 'unfinished',
    formula: 'a line runs from a source to an input',
    reason: 'Only a complete line can be computed.'
  },
  unsolvable: {
    sentence: (f) => `This line cannot be computed: something is not defined at ${id(f, 'part')}.`,
    short: () => 'not computed',
    formula: 'A(ω)·x = b has exactly one solution',
    reason: 'Check the values of the parts named; one of them leaves the network without an answer.'
  }
};
