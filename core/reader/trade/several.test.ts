import { describe, expect, it } from 'vitest';
import { told } from '../../tests/told';
import { shortKit } from './kit-letters';
import { readTrade } from './read';

describe('several things in one breath', () => {
  it.each([
    [
      'upright bass: mic (cond clip) & pickup (DI), ch 15 & 16',
      'Upright bass mic: condenser-mic 15, Upright bass DI: piezo active-di 16'
    ],
    [
      'resonator dyn mic + mag pickup DI ch 25,26',
      'Resonator mic: dynamic-mic 25, Resonator DI: soundhole-magnetic active-di 26'
    ],
    [
      'surdo dyn 9, repique dyn 10, caixa cond 11',
      'Surdo: dynamic-mic 9, Repique: dynamic-mic 10, Caixa: condenser-mic 11'
    ],
    [
      'oddly dyn 9, berimbao dyn 10, snare dyn 11',
      'Oddly: dynamic-mic 9, Berimbao: dynamic-mic 10, Snare: dynamic-mic 11'
    ],
    ['zuffolo cond 9, ocarina cond 10', 'Zuffolo: condenser-mic 9, Ocarina: condenser-mic 10'],
    ['bass: DI before amp, thru to combo, XLR 20m ch 5', 'Bass: passive-bass active-di 5, Bass amp: passive-bass -'],
    ['cello: piezo DI ch 5 + mic ch 6', 'Cello DI: piezo active-di 5, Cello mic: condenser-mic 6'],
    ['kick in boundary cond, kick out dyn: SB 1/2', 'Kick in: condenser-mic 1, Kick out: dynamic-mic 2'],
    ['bass DI ch 5 / bass mic dyn ch 6', 'Bass DI: passive-bass active-di 5, Bass mic: dynamic-mic 6'],
    [
      'drum machine L/R + click on sep out, 3 DIs',
      'Drum machine L: line-unbalanced passive-di -, Drum machine R: line-unbalanced passive-di -, Click: interface-out passive-di -'
    ],
    ['cajon DI piezo + mic dyn, ch 17-18', 'Cajon DI: piezo active-di 17, Cajon mic: dynamic-mic 18'],
    [
      'worship ldr acoustic w/ pickup + preamp DI 3 & vox ch 4',
      'Worship ldr acoustic: acoustic-preamp preamp-di 3, Vox: dynamic-mic 4'
    ],
    [
      'pit: reed 1 cond, reed 2 cond, tpt dyn, tbn dyn, SB 1-4',
      'Reed 1: condenser-mic 1, Reed 2: condenser-mic 2, Tpt: dynamic-mic 3, Tbn: dynamic-mic 4'
    ],
    [
      'drum machine L/R + click, 3 DIs',
      'Drum machine L: line-unbalanced passive-di -, Drum machine R: line-unbalanced passive-di -, Click: interface-out passive-di -'
    ],
    [
      'keys L/R + click, 3 DIs',
      'Keys L: line-unbalanced passive-di -, Keys R: line-unbalanced passive-di -, Click: interface-out passive-di -'
    ],
    [
      'synth L/R + bass, 3 DIs SB 3-5',
      'Synth L: line-unbalanced passive-di 3, Synth R: line-unbalanced passive-di 4, Bass: passive-bass active-di 5'
    ],
    [
      'keys L/R, bass, 3 DIs',
      'Keys L: line-unbalanced passive-di -, Keys R: line-unbalanced passive-di -, Bass: passive-bass active-di -'
    ],
    [
      'tracks L/R + click from laptop, 3 DIs 20-22',
      'Tracks L: interface-out passive-di 20, Tracks R: interface-out passive-di 21, Click: headphone passive-di 22'
    ],
    [
      '2 acoustics and bass, 3 active DIs SB 1-3',
      'Acoustics 1: acoustic-preamp active-di 1, Acoustics 2: acoustic-preamp active-di 2, Bass: passive-bass active-di 3'
    ],
    // Each with channels of its own.
    ['bass DI sb 5, mic sb 6', 'Bass DI: passive-bass active-di 5, Bass mic: dynamic-mic 6'],
    ['gtr: modeller L/R sb 13/14, cab dyn sb 15', 'Gtr L: modeller 13, Gtr R: modeller 14, Gtr: dynamic-mic 15'],
    ['oh L/R ch 7/8, hat ch 9', 'Oh L: condenser-mic 7, Oh R: condenser-mic 8, Hat: condenser-mic 9'],
    [
      'keys L/R DI sb 9/10; synth bass DI sb 11',
      'Keys L: line-unbalanced passive-di 9, Keys R: line-unbalanced passive-di 10, Synth bass: line-unbalanced passive-di 11'
    ],
    [
      'vox 1-3 dyn ch 20-22, acoustic DI ch 23',
      'Vox 1: dynamic-mic 20, Vox 2: dynamic-mic 21, Vox 3: dynamic-mic 22, Acoustic: acoustic-preamp passive-di 23'
    ],
    ['keys L sb 1, keys R sb 2, DI both', 'Keys L: line-unbalanced passive-di 1, Keys R: line-unbalanced passive-di 2'],
    ['ch1 kick, ch3-4 oh', 'Kick: dynamic-mic 1, Oh 1: condenser-mic 3, Oh 2: condenser-mic 4'],
    ['Anna: vox ch 1, guitar DI ch 2', 'Anna vox: dynamic-mic 1, Anna guitar: single-coil active-di 2'],
    [
      'bass DI > sb 9, thru to amp, amp mic sb 10',
      'Bass: passive-bass active-di 9, Bass amp: passive-bass -, Bass amp mic: dynamic-mic 10'
    ],
    // By bare numbers that go on from each other.
    ['kick in 1, kick out 2, snare 3', 'Kick in: dynamic-mic 1, Kick out: dynamic-mic 2, Snare: dynamic-mic 3'],
    [
      'drums kick 1 snare 2 oh 3 4',
      'Kick: dynamic-mic 1, Snare: dynamic-mic 2, Oh 1: condenser-mic 3, Oh 2: condenser-mic 4'
    ],
    ['1 kick 2 snare 3 hat', 'Kick: dynamic-mic 1, Snare: dynamic-mic 2, Hat: condenser-mic 3'],
    ['1. kick; 2. snare; 3. hat', 'Kick: dynamic-mic 1, Snare: dynamic-mic 2, Hat: condenser-mic 3'],
    ['bass di 9, gtr cab 10, vox 11', 'Bass: passive-bass active-di 9, Gtr cab: dynamic-mic 10, Vox: dynamic-mic 11'],
    // As many as were typed, their numbers, how each is taken.
    ['cajon front boundary 48v + rear dyn, 12/13', 'Cajon: condenser-mic 12, Cajon rear: dynamic-mic 13'],
    ['Cello DI + clip mic, ch 9 10', 'Cello DI: piezo active-di 9, Cello mic: condenser-mic 10'],
    ['lead gtr amp mic dyn + DI out of amp (line), ch 7, 8', 'Lead gtr: dynamic-mic 7, Amp: bass-amp-out 8'],
    ['guitar > 3m > DI thru > amp; DI out > pre 4', 'Guitar: single-coil active-di 4, Guitar amp: single-coil -'],
    [
      'vox 1 dyn 1, vox 2 dyn 2, vox 3 condenser 3',
      'Vox 1: dynamic-mic 1, Vox 2: dynamic-mic 2, Vox 3: condenser-mic 3'
    ],
    ['Keys 1 DI 9, Keys 2 DI 12', 'Keys 1: line-unbalanced passive-di 9, Keys 2: line-unbalanced passive-di 12'],
    [
      'acoustic 1 active DI 4; acoustic 2 active DI 5; banjo clip mic 6',
      'Acoustic 1: acoustic-preamp active-di 4, Acoustic 2: acoustic-preamp active-di 5, Banjo: condenser-mic 6'
    ],
    ['gtr cab mic 7, DI from his amp 8', 'Gtr cab: dynamic-mic 7, His amp: bass-amp-out 8'],
    ['bass cab mic 7, DI from his amp 8', 'Bass cab: dynamic-mic 7, His amp: bass-amp-out 8'],
    ['bass cab dyn 7, amp DI 8', 'Bass cab: dynamic-mic 7, Amp DI: bass-amp-out 8'],
    [
      'snare top dyn 2, snare bottom cond 3, hat cond 4, OH pair cond 5/6',
      'Snare top: dynamic-mic 2, Snare bottom: condenser-mic 3, Hat: condenser-mic 4, OH L: condenser-mic 5, OH R: condenser-mic 6'
    ],
    [
      'kick in boundary, kick out dyn, snare top, snare bot pol rev, hats 48v, OH L/R 48v, SB 1-7',
      'Kick in: condenser-mic 1, Kick out: dynamic-mic 2, Snare top: dynamic-mic 3, Snare bot: dynamic-mic 4, Hats: condenser-mic 5, OH L: condenser-mic 6, OH R: condenser-mic 7'
    ],
    [
      'house band: bass DI 9, gtr cab 10, keys L/R 11/12, vox 13',
      'Bass: passive-bass active-di 9, Gtr cab: dynamic-mic 10, Keys L: line-unbalanced 11, Keys R: line-unbalanced 12, Vox: dynamic-mic 13'
    ],
    [
      'bass DI + mic 3/4, gtr L cab 5, gtr R cab 6',
      'Bass DI: passive-bass active-di 3, Bass mic: dynamic-mic 4, Gtr L: dynamic-mic 5, Gtr R: dynamic-mic 6'
    ],
    [
      '2 acoustics DI 9-10, 3 vox dyn 11-13, cajon 14',
      'Acoustics 1: acoustic-preamp passive-di 9, Acoustics 2: acoustic-preamp passive-di 10, Vox 1: dynamic-mic 11, Vox 2: dynamic-mic 12, Vox 3: dynamic-mic 13, Cajon: dynamic-mic 14'
    ],
    [
      'laptop L/R ch 31/32, MC mic ch 30, walk-in USB stick player RCA ch 33/34',
      'Laptop L: headphone 31, Laptop R: headphone 32, MC mic: dynamic-mic 30, Walk-in USB stick 1: consumer-player 33, Walk-in USB stick 2: consumer-player 34'
    ],
    [
      'bass (active, DI), guitar (dyn), keys (2 DI), 3 vox',
      'Bass: active-bass passive-di -, Guitar: dynamic-mic -, Keys 1: line-unbalanced passive-di -, Keys 2: line-unbalanced passive-di -, Vox 1: dynamic-mic -, Vox 2: dynamic-mic -, Vox 3: dynamic-mic -'
    ],
    [
      'drums 8 mics, bass DI, 2 gtr, keys stereo, 4 vox',
      'Drums 1: dynamic-mic -, Drums 2: dynamic-mic -, Drums 3: dynamic-mic -, Drums 4: dynamic-mic -, Drums 5: dynamic-mic -, Drums 6: dynamic-mic -, Drums 7: dynamic-mic -, Drums 8: dynamic-mic -, Bass: passive-bass active-di -, Gtr 1: single-coil -, Gtr 2: single-coil -, Keys L: line-unbalanced -, Keys R: line-unbalanced -, Vox 1: dynamic-mic -, Vox 2: dynamic-mic -, Vox 3: dynamic-mic -, Vox 4: dynamic-mic -'
    ],
    [
      'Pno L/R cond 1-2; Vln DI 3; Vc DI 4; Cb mic+DI 5-6',
      'Pno L: condenser-mic 1, Pno R: condenser-mic 2, Vln: piezo active-di 3, Vc: piezo active-di 4, Cb mic: condenser-mic 5, Cb DI: piezo active-di 6'
    ],
    [
      'drum kit: K, Sn, 2 toms, 2 OH ch 1-6',
      'Kick: dynamic-mic 1, Sn: dynamic-mic 2, Toms 1: dynamic-mic 3, Toms 2: dynamic-mic 4, OH 1: condenser-mic 5, OH 2: condenser-mic 6'
    ],
    [
      'conga lo dyn 7, conga hi dyn 8, timbales cond 9/10',
      'Conga lo: dynamic-mic 7, Conga hi: dynamic-mic 8, Timbales 1: condenser-mic 9, Timbales 2: condenser-mic 10'
    ],
    [
      'DI 1-4: acoustic, bass, keys L, keys R',
      'Acoustic: acoustic-preamp passive-di -, Bass: passive-bass active-di -, Keys L: line-unbalanced passive-di -, Keys R: line-unbalanced passive-di -'
    ],
    ["guitar amp mic'd w/ dyn and a ribbon, ch 15+16", 'Guitar: dynamic-mic 15, Guitar 2: ribbon 16'],
    [
      'ch 1-4: kick, snare, hat, oh',
      'Kick: dynamic-mic 1, Snare: dynamic-mic 2, Hat: condenser-mic 3, Oh: condenser-mic 4'
    ],
    [
      'SB 5-7: gtr cab, bass DI, keys DI',
      'Gtr cab: dynamic-mic 5, Bass: passive-bass active-di 6, Keys: line-unbalanced passive-di 7'
    ],
    [
      '1 kick 2-3 oh 4 bass di 5-6 keys di 7 vox',
      'Kick: dynamic-mic 1, Oh 1: condenser-mic 2, Oh 2: condenser-mic 3, Bass: passive-bass active-di 4, Keys 1: line-unbalanced passive-di 5, Keys 2: line-unbalanced passive-di 6, Vox: dynamic-mic 7'
    ],
    [
      'parallel bass: DI + amp mic + amp DI, pres 1-3',
      'Bass: passive-bass active-di 1, Bass amp: dynamic-mic 2, Bass amp DI: bass-amp-out 3'
    ],
    ['upright: mag, piezo, mic 5-7', 'Upright: upright-magnetic 5, Upright 2: piezo 6, Upright mic: condenser-mic 7'],
    [
      'acoustic: DI + mic + mag 4-6',
      'Acoustic DI: acoustic-preamp passive-di 4, Acoustic mic: condenser-mic 5, Acoustic: soundhole-magnetic 6'
    ],
    [
      'bass DI, cab mic, sub mic 4-6',
      'Bass: passive-bass active-di 4, Bass cab: dynamic-mic 5, Bass sub: dynamic-mic 6'
    ],
    ['gtr: dyn + ribbon + condenser on the cab 7-9', 'Gtr: dynamic-mic 7, Gtr 2: ribbon 8, Gtr 3: condenser-mic 9'],
    ['cello: DI, mic, SB 5/6', 'Cello DI: piezo active-di 5, Cello mic: condenser-mic 6'],
    [
      'bass amp: DI, dyn, ribbon — SB 4, 5, 6',
      'Bass amp DI: bass-amp-out 4, Bass amp: dynamic-mic 5, Bass amp 2: ribbon 6'
    ],
    [
      '2 vocals, one of them also plays accordion (internal mics, XLR out, needs 48V)',
      'Vocals 1: dynamic-mic -, Vocals 2: dynamic-mic -, Accordion: acoustic-preamp -'
    ],
    ['vox dyn ch 1, also plays acoustic gtr DI ch 2', 'Vox: dynamic-mic 1, Acoustic gtr: acoustic-preamp passive-di 2'],
    ['sax dyn, doubles on flute clip', 'Sax: dynamic-mic -, Flute clip: condenser-mic -'],
    ['Cb mic+DI 5-6', 'Cb mic: condenser-mic 5, Cb DI: piezo active-di 6'],
    ['bass DI+mic ch 3/4', 'Bass DI: passive-bass active-di 3, Bass mic: dynamic-mic 4'],
    ['gtr SL amp dyn ch 5, gtr SR amp ribbon ch 6', 'Gtr SL: dynamic-mic 5, Gtr SR: ribbon 6'],
    [
      'perc: conga hi 1, conga lo 2, bongos 3, OH L/R 4/5',
      'Conga hi: dynamic-mic 1, Conga lo: dynamic-mic 2, Bongos: dynamic-mic 3, OH L: condenser-mic 4, OH R: condenser-mic 5'
    ],
    [
      'drums 1-8, bass 9, gtr 10, keys 11/12, vox 13-15',
      'Drums 1: dynamic-mic 1, Drums 2: dynamic-mic 2, Drums 3: dynamic-mic 3, Drums 4: dynamic-mic 4, Drums 5: dynamic-mic 5, Drums 6: dynamic-mic 6, Drums 7: dynamic-mic 7, Drums 8: dynamic-mic 8, Bass: passive-bass 9, Gtr: single-coil 10, Keys 1: line-unbalanced 11, Keys 2: line-unbalanced 12, Vox 1: dynamic-mic 13, Vox 2: dynamic-mic 14, Vox 3: dynamic-mic 15'
    ],
    [
      'bass 9 DI active; gtr 10 dyn; keys 11+12 passive DI; vox 13 dyn',
      'Bass: passive-bass active-di 9, Gtr: dynamic-mic 10, Keys 1: line-unbalanced passive-di 11, Keys 2: line-unbalanced passive-di 12, Vox: dynamic-mic 13'
    ],
    [
      'lead vox radio ch 1, BV1 ch 2, BV2 ch 3, both dyn wired',
      'Lead vox: wireless-receiver 1, BV 1: dynamic-mic 2, BV 2: dynamic-mic 3'
    ],
    [
      'ac gtr DI 7 / bass DI 8 / vox dyn 9',
      'Ac gtr: acoustic-preamp passive-di 7, Bass: passive-bass active-di 8, Vox: dynamic-mic 9'
    ],
    [
      'DI: bass (1), keys L (2), keys R (3), acoustic (4)',
      'Bass: passive-bass active-di 1, Keys L: line-unbalanced passive-di 2, Keys R: line-unbalanced passive-di 3, Acoustic: acoustic-preamp passive-di 4'
    ],
    [
      'kick in/out, snare top/bottom, hat, 3 toms, OH x2 → 1-10',
      'Kick in: dynamic-mic 1, Kick out: dynamic-mic 2, Snare top: dynamic-mic 3, Snare bottom: dynamic-mic 4, Hat: condenser-mic 5, Toms 1: dynamic-mic 6, Toms 2: dynamic-mic 7, Toms 3: dynamic-mic 8, OH 1: condenser-mic 9, OH 2: condenser-mic 10'
    ],
    [
      'bass: pre DI sb 5, post DI sb 6, cab mic sb 7',
      'Bass DI: passive-bass active-di 5, Bass DI 2: passive-bass active-di 6, Bass mic: dynamic-mic 7'
    ],
    [
      'cello mic (cond, 48v) sb 11; cello DI (piezo, active) sb 12',
      'Cello mic: condenser-mic 11, Cello DI: piezo active-di 12'
    ],
    [
      'kit: K S H R1 R2 F OHL OHR ch 1-8',
      'Kick: dynamic-mic 1, Snare: dynamic-mic 2, Hihat: condenser-mic 3, Rack tom 1: dynamic-mic 4, Rack tom 2: dynamic-mic 5, Floor tom: dynamic-mic 6, Overhead L: condenser-mic 7, Overhead R: condenser-mic 8'
    ],
    [
      'Kick, Snare, Hat, Rack, Floor, OH L, OH R on 1-7',
      'Kick: dynamic-mic 1, Snare: dynamic-mic 2, Hihat: condenser-mic 3, Rack tom: dynamic-mic 4, Floor tom: dynamic-mic 5, Overhead L: condenser-mic 6, Overhead R: condenser-mic 7'
    ],
    [
      'bass pre DI sb 5, post DI sb 6, cab mic sb 7',
      'Bass: passive-bass active-di 5, Bass 2: passive-bass active-di 6, Bass cab: dynamic-mic 7'
    ],
    [
      'keys L/R DI sb 9/10, synth DI sb 11, bass DI sb 12',
      'Keys L: line-unbalanced passive-di 9, Keys R: line-unbalanced passive-di 10, Synth: line-unbalanced passive-di 11, Bass: passive-bass active-di 12'
    ],
    [
      'lead vox radio ch 1, BV x2 dyn ch 2-3, choir 4 condensers ch 4-7',
      'Lead vox: wireless-receiver 1, BV 1: dynamic-mic 2, BV 2: dynamic-mic 3, Choir 1: condenser-mic 4, Choir 2: condenser-mic 5, Choir 3: condenser-mic 6, Choir 4: condenser-mic 7'
    ],
    [
      'drums: kick dyn 1, snare dyn 2, OHs cond 3/4',
      'Kick: dynamic-mic 1, Snare: dynamic-mic 2, OHs 1: condenser-mic 3, OHs 2: condenser-mic 4'
    ],
    [
      'drums kick 1 snare 2 hat 3 oh 4 5',
      'Kick: dynamic-mic 1, Snare: dynamic-mic 2, Hat: condenser-mic 3, Oh 1: condenser-mic 4, Oh 2: condenser-mic 5'
    ],
    [
      'kick snare hat tom1 tom2 oh l oh r ch 1-7',
      'Kick: dynamic-mic 1, Snare: dynamic-mic 2, Hihat: condenser-mic 3, Rack tom 1: dynamic-mic 4, Rack tom 2: dynamic-mic 5, Overhead L: condenser-mic 6, Overhead R: condenser-mic 7'
    ],
    [
      '4 vox + 2 radio mics, ch 1-6',
      'Vox 1: dynamic-mic 1, Vox 2: dynamic-mic 2, Vox 3: dynamic-mic 3, Vox 4: dynamic-mic 4, Radio mics 1: wireless-receiver 5, Radio mics 2: wireless-receiver 6'
    ],
    [
      'bass, gtr L/R, keys L/R, all DI, sb 3-7',
      'Bass: passive-bass active-di 3, Gtr L: single-coil active-di 4, Gtr R: single-coil active-di 5, Keys L: line-unbalanced passive-di 6, Keys R: line-unbalanced passive-di 7'
    ],
    ['piano L/R cond, vox dyn, ch 1-3', 'Piano L: condenser-mic 1, Piano R: condenser-mic 2, Vox: dynamic-mic 3'],
    [
      'percussion: congas 2 dyn, toys cond, chimes cond, ch 14-17',
      'Congas 1: dynamic-mic 14, Congas 2: dynamic-mic 15, Toys: condenser-mic 16, Chimes: condenser-mic 17'
    ],
    [
      'bass di 9, gtr cab 10, keys 11/12, vox 13',
      'Bass: passive-bass active-di 9, Gtr cab: dynamic-mic 10, Keys 1: line-unbalanced 11, Keys 2: line-unbalanced 12, Vox: dynamic-mic 13'
    ],
    [
      'ch1 kick, ch2 snare, ch3-4 oh',
      'Kick: dynamic-mic 1, Snare: dynamic-mic 2, Oh 1: condenser-mic 3, Oh 2: condenser-mic 4'
    ],
    [
      '1 kick 2 snare 3 hat 4 oh',
      'Kick: dynamic-mic 1, Snare: dynamic-mic 2, Hat: condenser-mic 3, Oh: condenser-mic 4'
    ],
    ['bass mic + bass DI ch 7 8', 'Bass mic: dynamic-mic 7, Bass DI: passive-bass active-di 8'],
    [
      'upright: piezo to preamp to DI, sb 9, and clip-on mic sb 10',
      'Upright DI: piezo active-di 9, Upright mic: condenser-mic 10'
    ],
    [
      'pedalboard end -> active DI -> thru to amp; sb 18',
      'Pedalboard end: single-coil active-di 18, Pedalboard end amp: single-coil -'
    ],
    [
      'bass, keys L, keys R DIs sb 3-5',
      'Bass: passive-bass active-di 3, Keys L: line-unbalanced passive-di 4, Keys R: line-unbalanced passive-di 5'
    ],
    [
      'vox dyn, bass, keys passive DIs ch 1-3',
      'Vox: dynamic-mic 1, Bass: passive-bass passive-di 2, Keys: line-unbalanced passive-di 3'
    ],
    [
      'DB pickup (piezo) > active 10 meg DI > SB 15, DB mic cond 48v SB 16',
      'DB pickup: piezo active-di-10m 15, DB: condenser-mic 16'
    ],
    ['bass cab mic dyn + bass DI passive SB 5 6', 'Bass mic: dynamic-mic 5, Bass DI: passive-bass passive-di 6'],
    ['guitar combo, ribbon + dyn, SB 17/18', 'Guitar: ribbon 17, Guitar 2: dynamic-mic 18'],
    [
      'acoustic duo: 2x gtr preamp DI, 2x vox dyn, ch 1-4',
      'Acoustic gtr 1: acoustic-preamp preamp-di 1, Acoustic gtr 2: acoustic-preamp preamp-di 2, Vox 1: dynamic-mic 3, Vox 2: dynamic-mic 4'
    ],
    [
      'tracks L/R interface 1/2 > DI x2 > 40/41, click interface 3 > DI > 42',
      'Tracks L: interface-out passive-di 40, Tracks R: interface-out passive-di 41, Click 3: interface-out passive-di 42'
    ],
    ['kick in bound 48V, kick out dyn, SB 1 2', 'Kick in: condenser-mic 1, Kick out: dynamic-mic 2'],
    ['snare T dyn, snare B dyn inv, SB 3 4', 'Snare T: dynamic-mic 3, Snare B: dynamic-mic 4'],
    [
      'drums 4 mics (k, sn, 2 oh)',
      'Kick: dynamic-mic -, Snare: dynamic-mic -, Oh 1: condenser-mic -, Oh 2: condenser-mic -'
    ],
    // With the channels behind them all.
    [
      'tpt 1-3 dyn, tbn 1-2 ribbon, ch 20-24',
      'Tpt 1: dynamic-mic 20, Tpt 2: dynamic-mic 21, Tpt 3: dynamic-mic 22, Tbn 1: ribbon 23, Tbn 2: ribbon 24'
    ],
    [
      'vla x2, vlc, cb clip-ons, ch 9-12',
      'Vla 1: condenser-mic 9, Vla 2: condenser-mic 10, Vlc: condenser-mic 11, Cb: condenser-mic 12'
    ],
    [
      'vox, gtr amp, bass DI, keys L/R, ch 1-5',
      'Vox: dynamic-mic 1, Gtr amp: dynamic-mic 2, Bass: passive-bass active-di 3, Keys L: line-unbalanced 4, Keys R: line-unbalanced 5'
    ],
    [
      '2 vln, vla: piezo, 10M DIs, sb 5-7',
      'Vln 1: piezo active-di-10m 5, Vln 2: piezo active-di-10m 6, Vla: piezo active-di-10m 7'
    ],
    [
      'Ac Gtr 1 DI / Ac Gtr 2 DI, Ac Gtr 3 DI ch 9-11',
      'Ac Gtr 1: acoustic-preamp passive-di 9, Ac Gtr 2: acoustic-preamp passive-di 10, Ac Gtr 3: acoustic-preamp passive-di 11'
    ],
    [
      '2 vox + 2 radio mics, ch 1-4',
      'Vox 1: dynamic-mic 1, Vox 2: dynamic-mic 2, Radio mics 1: wireless-receiver 3, Radio mics 2: wireless-receiver 4'
    ],
    [
      'kit: K S OHL OHR ch 1-4',
      'Kick: dynamic-mic 1, Snare: dynamic-mic 2, Overhead L: condenser-mic 3, Overhead R: condenser-mic 4'
    ],
    ['kick, snare, OH 1-4', 'Kick: dynamic-mic 1, Snare: dynamic-mic 2, OH 1: condenser-mic 3, OH 2: condenser-mic 4'],
    [
      'kick, hat, toms, OHs 1-6',
      'Kick: dynamic-mic 1, Hat: condenser-mic 2, Toms 1: dynamic-mic 3, Toms 2: dynamic-mic 4, OHs 1: condenser-mic 5, OHs 2: condenser-mic 6'
    ],
    [
      'guitar w/ piezo out and mag out, 2 DIs, ch 9/10',
      'Guitar pickup: piezo active-di 9, Guitar DI: single-coil active-di 10'
    ],
    ['Rack/Floor dyn 5 6', 'Rack tom: dynamic-mic 5, Floor tom: dynamic-mic 6'],
    ['bv 1 bv 2 bv 3 dyn', 'Bv 1: dynamic-mic -, Bv 2: dynamic-mic -, Bv 3: dynamic-mic -'],
    ['tom 1 tom 2 ch 6 7', 'Tom 1: dynamic-mic 6, Tom 2: dynamic-mic 7'],
    ['DI 1 bass, DI 2 keys L', 'Bass: passive-bass active-di -, Keys L: line-unbalanced passive-di -'],
    // And what is one thing stays one.
    [
      'horn section 3 dyn 4-6',
      'Horn section 1: dynamic-mic 4, Horn section 2: dynamic-mic 5, Horn section 3: dynamic-mic 6'
    ],
    ['radio mic 3 rx on ch 5', 'Radio mic: wireless-receiver 5'],
    ['sax 1 2 3 dyn sb 4 5 6', 'Sax 1: dynamic-mic 4, Sax 2: dynamic-mic 5, Sax 3: dynamic-mic 6'],
    ['lever harp 2 condensers 48v mic pre 3/4', 'Lever harp 1: condenser-mic 3, Lever harp 2: condenser-mic 4'],
    ['bass, 3 m jack, active DI ch 5', 'Bass: passive-bass active-di 5'],
    [
      '2 violins, 3 violas',
      'Violins 1: piezo -, Violins 2: piezo -, Violas 1: piezo -, Violas 2: piezo -, Violas 3: piezo -'
    ],
    ['gtr cab mic sb 3', 'Gtr cab: dynamic-mic 3'],
    ['bass > 6 m jack > bass amp', 'Bass: passive-bass -'],
    [
      'kick in/out 1/2, snare T/B 3/4 (B flip), hat 6',
      'Kick in: dynamic-mic 1, Kick out: dynamic-mic 2, Snare top: dynamic-mic 3, Snare bottom: dynamic-mic 4, Hat: condenser-mic 6'
    ],
    [
      'kick dyn 1, kick sub 2, snare 4, toms 6-7',
      'Kick: dynamic-mic 1, Kick sub: dynamic-mic 2, Snare: dynamic-mic 4, Toms 1: dynamic-mic 6, Toms 2: dynamic-mic 7'
    ],
    [
      '2 acoustic guitars and a bass, all DI',
      'Acoustic guitars 1: acoustic-preamp passive-di -, Acoustic guitars 2: acoustic-preamp passive-di -, Bass: passive-bass active-di -'
    ],
    [
      'laptop L/R minijack → stereo media DI; presenter headset radio',
      'Laptop L: headphone media-di-stereo -, Laptop R: headphone media-di-stereo -, Presenter: wireless-receiver -'
    ],
    [
      'synth bass (mono) / pads (stereo) DIs ch 20-22',
      'Synth bass: line-unbalanced passive-di 20, Pads L: line-unbalanced passive-di 21, Pads R: line-unbalanced passive-di 22'
    ],
    [
      'conga pair, bongos, timbales T/B',
      'Conga L: dynamic-mic -, Conga R: dynamic-mic -, Bongos: dynamic-mic -, Timbales top: dynamic-mic -, Timbales bottom: dynamic-mic -'
    ],
    ['overhead pair + kick', 'Overhead L: condenser-mic -, Overhead R: condenser-mic -, Kick: dynamic-mic -'],
    ['tracks L/R + vox', 'Tracks L: interface-out -, Tracks R: interface-out -, Vox: dynamic-mic -'],
    ['whistle + pipes on one 58', 'Whistle pipes 58: dynamic-mic -'],
    [
      'choir soprano/alto/tenor/bass 4 cond',
      'Choir soprano: condenser-mic -, Choir alto: condenser-mic -, Choir tenor: condenser-mic -, Choir bass: condenser-mic -'
    ],
    ['violin/viola/cello 3 clips', 'Violin: condenser-mic -, Viola: condenser-mic -, Cello: condenser-mic -'],
    [
      'electric gtr di for reamp later + cab mic',
      'Electric gtr DI: single-coil active-di -, Electric gtr mic: dynamic-mic -'
    ],
    [
      'theatre pit: keys 1 stereo DI 1/2, keys 2 stereo DI 3/4, reed 1 cond 5, reed 2 cond 6, bass DI 7',
      'Keys 1 L: line-unbalanced passive-di 1, Keys 1 R: line-unbalanced passive-di 2, Keys 2 L: line-unbalanced passive-di 3, Keys 2 R: line-unbalanced passive-di 4, Reed 1: condenser-mic 5, Reed 2: condenser-mic 6, Bass: passive-bass active-di 7'
    ],
    ['flute gooseneck clip 48v plus vox same player', 'Flute clip: condenser-mic -, Vox: dynamic-mic -'],
    [
      'vox 1-4 dyn + gtr x2 DI',
      'Vox 1: dynamic-mic -, Vox 2: dynamic-mic -, Vox 3: dynamic-mic -, Vox 4: dynamic-mic -, Gtr 1: single-coil active-di -, Gtr 2: single-coil active-di -'
    ],
    [
      'drums: K SN HH T1 T2 FT OHL OHR',
      'Kick: dynamic-mic -, Snare: dynamic-mic -, Hihat: condenser-mic -, Rack tom 1: dynamic-mic -, Rack tom 2: dynamic-mic -, Floor tom: dynamic-mic -, Overhead L: condenser-mic -, Overhead R: condenser-mic -'
    ],
    [
      'acoustic trio: 3 vox, gtr DI, bass DI, cajon mic',
      'Vox 1: dynamic-mic -, Vox 2: dynamic-mic -, Vox 3: dynamic-mic -, Acoustic gtr: acoustic-preamp passive-di -, Bass: passive-bass active-di -, Cajon: dynamic-mic -'
    ],
    [
      'mandolin (passive piezo) + fiddle (active) DIs',
      'Mandolin: piezo active-di -, Fiddle: acoustic-preamp passive-di -'
    ],
    [
      "bass -> DI (thru to amp), amp mic'd too",
      'Bass: passive-bass active-di -, Bass amp: passive-bass -, Bass amp mic: dynamic-mic -'
    ],
    [
      'timps pair, perc 3 OH',
      'Timps L: dynamic-mic -, Timps R: dynamic-mic -, Perc OH 1: condenser-mic -, Perc OH 2: condenser-mic -, Perc OH 3: condenser-mic -'
    ],
    ['harp DI and condenser', 'Harp DI: piezo active-di -, Harp mic: condenser-mic -'],
    ['vox + gtr', 'Vox: dynamic-mic -, Gtr: single-coil -'],
    ['vocal and acoustic guitar', 'Vocal: dynamic-mic -, Acoustic guitar: acoustic-preamp -'],
    ['bass and keys DI', 'Bass: passive-bass active-di -, Keys: line-unbalanced passive-di -'],
    ['lead vox dyn + acoustic DI', 'Lead vox: dynamic-mic -, Acoustic: acoustic-preamp passive-di -'],
    ['sax clip & trumpet dyn', 'Sax clip: condenser-mic -, Trumpet: dynamic-mic -'],
    ['flute clip + vox', 'Flute clip: condenser-mic -, Vox: dynamic-mic -'],
    ['flute clip mic plus vocal', 'Flute: condenser-mic -, Vocal: dynamic-mic -'],
    [
      'theatre pit: keys 1 stereo DI 1/2, keys 2 stereo DI 3/4, sax 1 cond 5, sax 2 cond 6, bass DI 7',
      'Keys 1 L: line-unbalanced passive-di 1, Keys 1 R: line-unbalanced passive-di 2, Keys 2 L: line-unbalanced passive-di 3, Keys 2 R: line-unbalanced passive-di 4, Sax 1: condenser-mic 5, Sax 2: condenser-mic 6, Bass: passive-bass active-di 7'
    ]
  ])('%s', (text, lines) => expect(told(text)).toBe(lines));

  it('left and right one after the other are a pair', () => {
    const pairs = (text: string) => readTrade(text).specs.map((s) => s.pair);
    expect(pairs('kit: K S OHL OHR ch 1-4')).toEqual([undefined, undefined, 'Overhead', 'Overhead']);
    expect(pairs('keys L sb 1, synth R sb 2')).toEqual([undefined, undefined]);
  });

  it('a kit in letters begins with a kick or a snare among four, or has both toms', () => {
    expect(shortKit('K S H F')?.names).toEqual(['kick', 'snare', 'hihat', 'floor tom']);
    expect(shortKit('K S H')).toBeNull();
    expect(shortKit('HH R1 F OH')?.names).toEqual(['hihat', 'rack tom 1', 'floor tom', 'overheads']);
    expect(shortKit('HH RD F OH')).toBeNull();
    expect(shortKit('drums: K/SN/T1/OH L/OH R on 1-5')).toMatchObject({ from: 7, to: 24 });
  });
});
