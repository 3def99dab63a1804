import type { LessonId } from '../lessons/types';

/** Lessons in words: one idea each. No number stands here: figures are computed beside the text. */

interface Told {
  /** The idea, a sentence or two a paragraph. */
  readonly idea: readonly string[];
  /** What to turn, and what to look for. */
  readonly turn: string;
  /** What people believe, and what is so. */
  readonly said: string;
  readonly so: string;
  /** The decision at the end, its ways in the order of the lesson, and why one of them is right. */
  readonly asks: string;
  readonly options: readonly string[];
  readonly because: string;
  /** Of a lesson with several ways: what each is called. */
  readonly ways?: readonly string[];
}

export const LESSON_TEXTS: Readonly<Record<LessonId, Told>> = {
  bridging: {
    idea: [
      'An output has an impedance of its own, and an input is a load on it. Together they divide the voltage: the share that reaches the input is the load over load plus source.',
      'Audio is passed on as voltage. So the load is made ten times the source and more, and next to nothing is lost.'
    ],
    turn: 'Turn the load down to what the source is, and below. Then give the source a higher impedance.',
    said: 'Impedances must be matched.',
    so: 'Matching is for power, and for lines that are long against the wavelength: radio, and telephone lines of old. Between audio devices equal impedances cost half the voltage and gain nothing.',
    asks: 'A CD player with RCA outputs has to go into the desk. Which input?',
    options: ['A microphone input, by an adapter', 'An RCA input', 'A phono input'],
    because:
      'The RCA input is a high load at the right level. The microphone input loads the player with about its own impedance, and the phono input expects a cartridge.'
  },
  pickups: {
    idea: [
      'A magnetic pickup is a coil. With the capacitance of its lead it makes a resonance, and above that the treble is gone.',
      'The load damps the resonance: a high one leaves it sharp and bright, a low one takes it away. The lead moves it down.'
    ],
    turn: 'Turn the load from a line input’s to an instrument input’s. Then make the lead longer.',
    said: 'A good cable does not change the sound of a guitar.',
    so: 'Every metre has capacitance, and that is part of the pickup’s resonance. Behind a buffer or an active DI the length hardly matters any more.',
    asks: 'A guitarist without an amp wants to go straight into your interface.',
    options: [
      'Into the line input, the jack fits',
      'Into the instrument input, with a short lead',
      'Into the instrument input, with four leads coupled to reach the desk'
    ],
    because: 'The line input’s load takes the treble, and so does the capacitance of a long lead.'
  },
  piezo: {
    idea: [
      'A piezo is a capacitor. With the load it makes a high-pass: the lower the load, the higher the corner, and the bass below it is gone.',
      'The lead is a capacitor beside it. It makes everything softer, and the corner lower.'
    ],
    turn: 'Turn the load up until the corner lies below the lowest note. Then make the lead longer and see what it costs in level.',
    said: 'A piezo sounds thin, that is how they are.',
    so: 'Into a load that is high enough it has all its bass. Thin is what a load that is too low makes of it.',
    asks: 'An upright bass with a bare piezo. What does it go into?',
    options: ['An active DI with ten megohms', 'A line input', 'A passive DI into a microphone input'],
    because:
      'Only a load of several megohms puts the corner below the lowest string. A passive DI passes on the load of the microphone input by its turns squared, which is still far too low.'
  },
  scales: {
    idea: [
      'One voltage is written in four ways: volts, dBu, dBV, and dBFS behind a converter. dBu counts from three quarters of a volt, dBV from one volt, dBFS from where the converter is full.',
      'The first three are the same scale with another zero. dBFS depends on the input and its gain: it says what is left.'
    ],
    turn: 'Turn the level. The distance between dBu and dBV never changes.',
    said: '“Line level” is one level.',
    so: 'Consumer and professional gear are meant for levels that lie far apart, and instruments lie below both. Which one it is decides the input.',
    asks: 'A guitar comes out of a passive DI. Where does it go?',
    options: ['Into a line input', 'Into a microphone input', 'Leave the DI out, and into a line input'],
    because: 'Behind a passive DI a guitar is at microphone level: a line input has not the gain for it.'
  },
  balance: {
    idea: [
      'A balanced line has two legs with the same impedance to ground. Interference reaches both alike, and the input takes their difference: it is gone.',
      'The signal need not be the same on both. An output with signal on one leg and the same impedance on the other is balanced just as well.'
    ],
    turn: 'Turn the imbalance of the input’s legs: ten times as much costs twenty decibels of rejection.',
    said: 'Balanced means one leg is the mirror image of the other.',
    so: 'That gives headroom, not rejection. What rejects hum is that the legs are equal in impedance, at both ends.',
    asks: 'Two keyboards stand on another circuit than the desk. One has balanced outputs. How does the run go?',
    options: [
      'From the unbalanced jack, straight into a line input',
      'From the balanced output, straight into a line input'
    ],
    because:
      'Over an unbalanced cable the voltage between the two earths is part of the signal. Over a balanced one it is common to both legs.'
  },
  transformer: {
    idea: [
      'A passive DI is a transformer. It divides the voltage by its turns, and what the source sees is the load behind it times the turns squared.',
      'Turned round it does the opposite: it steps the voltage up and the load down. No contact passes from one side to the other, so that a ground loop ends there.'
    ],
    turn: 'Turn the ratio: the level falls by as much, the load on the source rises by its square.',
    said: 'A DI turns high impedance into low.',
    so: 'It does not know what stands before it. It passes on the load behind it, by its turns squared: into a line input it makes another load than into a microphone input.',
    asks: 'Which way does a guitar get to a desk far away?',
    options: [
      'By a passive DI into a microphone input',
      'By a passive DI into a line input',
      'By an isolating transformer, one to one, into a microphone input'
    ],
    because:
      'The turns make a load of the microphone input that a pickup can bear. One to one the pickup sees the microphone input itself.'
  },
  'active-passive': {
    idea: [
      'An active DI has an amplifier at its input: a high load, whatever stands behind. It needs power, adds its own noise, and clips at its rails.',
      'A passive DI has a transformer: no power, no hiss of its own, two grounds that are apart. But its load is only what the microphone input gives it.'
    ],
    turn: 'Choose one and the other, and make the lead longer. Look at the treble, the level and the noise.',
    said: 'Active for passive instruments, passive for active ones.',
    so: 'As a rule of thumb that is not bad. What decides is the load that the source needs, its level, and whether a ground loop has to end there.',
    asks: 'A bare piezo, and the desk is twenty metres away.',
    options: [
      'A passive DI',
      'An active DI with ten megohms, phantom on',
      'An active DI with ten megohms, phantom off'
    ],
    because: 'A piezo needs megohms, which only an active one has; and an active one without power is silent.',
    ways: ['passive DI', 'active DI']
  },
  phantom: {
    idea: [
      'The desk feeds its volts to both legs alike, through a resistor each, and the current comes back on the shield. Between the legs there is no voltage, so that the signal does not notice.',
      'What a DI draws falls off across those resistors: the more current, the fewer volts are left for its amplifier.'
    ],
    turn: 'Turn up what the DI draws, and the desk’s voltage down. Watch what is left and what that does to headroom.',
    said: 'Phantom destroys whatever is plugged in.',
    so: 'A balanced output with a transformer or proper capacitors does not notice. What may be hurt are ribbons over a bad cable, and unbalanced outputs whose legs it reaches unequally.',
    asks: 'An active DI without a battery, and a desk with phantom.',
    options: ['Phantom off, to be safe', 'Straight to the desk, phantom on', 'Through an isolator, phantom on'],
    because: 'A transformer passes no direct current: phantom ends at the isolator, and the DI is dead.'
  },
  'ground-loop': {
    idea: [
      'Two supplies have earths that are not at the same voltage. A cable’s shield that joins them carries current, and what falls off along it is in series with the signal.',
      'A ground lift opens the shield at the DI, and the current has no way any more. Where no loop goes through that DI, a lift changes nothing, or makes it worse.'
    ],
    turn: 'Turn up the voltage between the earths: hum follows it decibel for decibel. Then flip the lift.',
    said: 'Hum? Flip the lift.',
    so: 'A lift helps against a loop that goes through this DI, and against nothing else. Pickups, broken shields, chargers and dimmers hum on.',
    asks: 'A keyboard on the stage’s supply, the desk on another one.',
    options: ['A passive DI, ground joined', 'A passive DI, ground lifted', 'Straight into a line input'],
    because: 'The transformer parts the signal, the lift parts the shields, and both mains earths stay where they are.'
  },
  earth: {
    idea: [
      'The earth in a mains plug is there for one moment: when something inside lets go and touches the case. Then it takes the current until the breaker trips.',
      'Taking it away may end a hum, since it opens the same loop. The next fault then goes through the person who holds the strings.'
    ],
    turn: 'Choose between the ways. All three can be quiet, and one of them can kill.',
    said: 'It is only for tonight, and nobody touches it.',
    so: 'Everybody touches strings and microphones. Open the loop in the audio cable, by a DI or a transformer: the same silence, and protective earth is never lifted. What tingles is switched off and goes to the electrician.',
    asks: 'The keyboard hums straight into the line input. It has an earthed plug.',
    options: [
      'Leave it, and live with the hum',
      'Tape off the earth pin of its plug',
      'A passive DI with its ground lifted'
    ],
    because: 'A DI opens the loop where no safety hangs on it.',
    ways: ['DI, ground joined', 'DI, ground lifted', 'mains earth taken away (never)']
  },
  pads: {
    idea: [
      'Headroom is what is left above the peaks at the tightest place of a line. A pad belongs before that place: at the DI when the DI clips, at the input when only the input does.',
      'Every decibel that is padded is made up for by gain, and the noise behind the pad comes up with it.'
    ],
    turn: 'Turn the level up until headroom is short, then set the pad. Look at what it costs in S/N.',
    said: 'A pad makes it sound worse, so leave it out.',
    so: 'A pad that is needed costs some S/N, of which there is plenty when it is needed. Clipping cannot be taken out again.',
    asks: 'A modular synth with hot outputs.',
    options: ['A passive DI, no pad', 'A passive DI, 20 dB pad', 'Straight into a microphone input'],
    because: 'The pad comes before the DI’s transformer, which is where it gets tight.'
  },
  'long-runs': {
    idea: [
      'A cable is a capacitor between its conductors. With the impedance that drives it, it makes a low-pass: the higher that impedance and the longer the run, the more treble is lost.',
      'An unbalanced run picks up besides: its shield is one of the two signal conductors.'
    ],
    turn: 'Make the run longer, then give the source a higher impedance. It takes both to lose treble.',
    said: 'Unbalanced cables must not be longer than six metres.',
    so: 'That is a rule of thumb for high-impedance sources. A low-impedance output drives a long cable without losing treble; what remains is hum between two earths, and the risk of radio.',
    asks: 'A keyboard on a charger, sixty metres from the desk.',
    options: [
      'One long jack lead',
      'A short lead into a DI, then sixty metres of balanced cable',
      'Four jack leads, coupled'
    ],
    because: 'The run is balanced and driven by a low impedance, and no coupling can come apart.'
  },
  noise: {
    idea: [
      'Noises that have nothing to do with each other add as powers: two equal ones make three decibels more, and one that lies ten below the other hardly counts.',
      'So the loudest noise is what matters. Making a quiet one quieter changes nothing.'
    ],
    turn: 'Turn down the DI’s own noise until nothing happens any more. Then turn down the input’s.',
    said: 'A quieter preamp makes every line quieter.',
    so: 'Only where the preamp is what is heard. Behind an active DI it usually is not.',
    asks: 'A violin with a bare piezo.',
    options: ['Into an active DI with ten megohms, then a microphone input', 'Into a line input'],
    because:
      'The line input’s load takes most of the level, and what is missing has to be made up for by gain: its noise comes up.'
  },
  'stereo-mono': {
    idea: [
      'A stereo jack and a balanced jack look alike. One carries left and right, the other a signal and its counterpart; a balanced input takes the difference of the two.',
      'What is the same on left and right is then gone: voice, bass, everything in the middle. Twisting left and right together makes two outputs work into each other.'
    ],
    turn: 'Choose between the ways, and look at the level that reaches the input.',
    said: 'It fits, so it works.',
    so: 'Sum through resistors: a media DI has them built in.',
    asks: 'A laptop’s headphone jack into one channel.',
    options: [
      'A stereo lead to XLR, into a microphone input',
      'A media DI, stereo to mono',
      'A Y lead that joins left and right'
    ],
    because: 'The media DI sums both sides through resistors and brings the sum down to microphone level, balanced.',
    ways: ['stereo plug into a balanced input', 'left and right twisted together', 'media DI']
  },
  're-amping': {
    idea: [
      'A guitar amp expects a guitar: a weak signal from a high impedance. An interface gives a strong one from a low impedance, and its ground comes along.',
      'A re-amp box brings the level down, gives it a source impedance like a pickup’s, and parts the grounds with a transformer.'
    ],
    turn: 'Turn its level: half the way of the pot takes six decibels.',
    said: 'Any DI turned round will do.',
    so: 'A passive DI backwards works, as long as the level fits: it steps up by its turns, so the interface has to be turned far down.',
    asks: 'The dry track goes back to the guitar amp, which stands on another supply.',
    options: ['Straight from the interface, by a jack lead', 'By a re-amp box with its ground lifted'],
    because: 'No leg of the output hangs on the amp’s shield, and no ground comes along.'
  },
  'fair-listening': {
    idea: [
      'Louder sounds better, and who knows which is which hears what they expect. So takes are made equally loud, and nobody is told.',
      'How sure one may be is a matter of counting: how often would guessing do as well? The count is agreed before the first trial.'
    ],
    turn: 'Turn the number of trials and how many of them were right.',
    said: 'I heard it clearly, three times out of four.',
    so: 'Guessing does that well often enough. With more trials the same share means something.',
    asks: 'You want to know whether one DI sounds better than another. What comes first?',
    options: ['Bring them to the same loudness', 'Ask the player which is which', 'Listen until one is better'],
    because: 'A few tenths of a decibel are enough to tip a choice. Everything else comes after that.'
  }
};
