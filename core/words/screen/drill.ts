import type { Shown } from './shown';

/** What the screen says in practice. Names of screens and keys: `docs/adding.md`. */
export const drill = {
  drill: 'Drill',
  aRigThatIsNotThere: 'A made-up rig with something wrong in it. Find it as fast as you can.',
  rig: 'Rig',
  level: 'Level',
  share: 'Share',
  drills: 'Drills',
  anyRig: 'Any rig',
  settingUpARig: 'Setting up a rig …',
  rigOfTheCourse: (n: Shown, count: Shown, name: Shown) => `Rig ${n} of ${count}: ${name}`,
  hearItWithThis: 'Hear it',
  hearItAfter: (what: Shown) => `Hear it: ${what}`,
  ofTheCourse: (count: Shown) => ` of ${count}`,
  hearItCured: 'Hear it cured',
  curedBy: (what: Shown) => `What would have cured it: ${what}.`,
  rigLevel: (seed: Shown, level: Shown) => `Rig ${seed}, level ${level}`,
  makesANoiseThatWasNot: (what: Shown, name: Shown) =>
    `makes a noise that should not be there. ${what}. The desk is on ${name}.`,
  dimmers: ', dimmers',
  itReads: 'It reads',
  atTheInputWeightedByThe: 'at the input, A-weighted;',
  wasForeseen: 'was expected.',
  hearIt: 'Hear it',
  foundPoints: (points: Shown) => `Found: ${points} points`,
  notThat: 'Not that',
  minutesByWhichTheEvidenceHad: (
    count: Shown,
    what: Shown,
    figure: Shown,
    figure2: Shown,
    count2: Shown,
    figure3: Shown,
    what2: Shown
  ) =>
    `${count} ${what}, ${figure} minutes; by then the evidence made it ${figure2} % likely. Taking the most telling test each time: ${count2}, ${figure3} minutes: ${what2}.`,
  next: 'Next',
  onceMore: 'Once more',
  whatCameOfItMinutes: (figure: Shown) => `What you found, ${figure} minutes`,
  whatIsIt: 'What is it?',
  tryMoreFirst: 'Try more first',
  whatDoYouDo: 'What do you do?',
  iKnowWhatItIs: 'I know what it is',
  itsEarthsAsPlanned: 'Its grounds, as planned',
  thenLikeliest: (figure: Shown, name: Shown) => `most likely then, ${figure} %: ${name}`,
  noSoundCanBePlayedHere: 'No sound can be played here; what is in it can be seen.',
  theAddressOfThisRigIs: 'The address of this rig is copied.',
  itsAddress: (href: Shown) => `Its address: ${href}`
};
