/** Problems by what they are about, for lists in which no number stands. */
const CODE_NAMES: Readonly<Record<string, string>> = {
  'plug-does-not-fit': 'a plug that does not fit',
  'stereo-cancels': 'cancelled stereo',
  'right-shorted': 'a shorted channel',
  'leg-on-shield': 'one leg on the shield',
  'half-balanced': 'half a balanced signal',
  'long-unbalanced': 'an unbalanced run',
  coupled: 'couplers',
  headroom: 'little headroom',
  clips: 'clipping',
  'core-saturates': 'a saturated core',
  'double-stops': 'chord headroom',
  'too-quiet': 'too little gain',
  'much-gain': 'a lot of gain',
  'too-hot': 'too much level',
  hissy: 'hiss',
  loads: 'loading',
  'equal-impedances': 'equal impedances',
  'bass-loss': 'bass lost',
  'treble-loss': 'treble lost',
  loop: 'a ground loop',
  hums: 'hum',
  'lift-leaks': 'a lift that doesn’t isolate',
  'phantom-weak': 'weak phantom',
  'phantom-spent': 'phantom overloaded'
};
export const codeName = (code: string): string => CODE_NAMES[code] ?? code.replaceAll('-', ' ');
