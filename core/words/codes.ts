/** Problems by what they are about, for lists in which no number stands. */
const CODE_NAMES: Readonly<Record<string, string>> = {
  'plug-does-not-fit': 'a plug that does not fit',
  'stereo-cancels': 'cancelled stereo',
  'right-shorted': 'a shorted channel',
  'leg-on-shield': 'one leg on the shield',
  'half-balanced': 'half a balanced signal',
  'long-unbalanced': 'length unbalanced',
  coupled: 'couplers',
  headroom: 'little room',
  clips: 'clipping',
  'core-saturates': 'a saturated core',
  'double-stops': 'room for double stops',
  'too-quiet': 'too little gain',
  'much-gain': 'much gain',
  'too-hot': 'too much level',
  hissy: 'hiss',
  loads: 'loading',
  'equal-impedances': 'equal impedances',
  'bass-loss': 'bass lost',
  'treble-loss': 'treble lost',
  loop: 'hum round a loop',
  hums: 'hum',
  'lift-leaks': 'a lift that leaks',
  'phantom-weak': 'weak phantom',
  'phantom-spent': 'phantom overdrawn'
};
export const codeName = (code: string): string => CODE_NAMES[code] ?? code.replaceAll('-', ' ');
