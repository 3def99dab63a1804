import { source, type Row } from './sense';

/** What the signal comes from: pickups, microphones, outputs. */
export const SOURCES: readonly Row[] = [
  // Pickups and what is built in
  source(
    'piezo',
    50,
    'crystal cartridge|ceramic cartridge|crystal phono cartridge|ceramic phono cartridge|crystal pickup|ceramic pickup|piezo|bridge piezo|undersaddle|under saddle|ust|piezo pickup|bridge pickup|piezo bridge pickup|bridge piezo pickup|piezo bridge|saddle pickup|tonabnehmer piezo|pizo'
  ),
  source(
    'contact-disc',
    55,
    'contact disc|contact pickup|contact mic|disc pickup|stick on disc|stick on pickup|stick on|stick on disc pickup|stick on contact pickup|disc|soundboard transducer|body transducer|transducer|clip on pickup|surface pickup|contact'
  ),
  source('single-coil', 50, 'single coil|single coils|single coil pickup|singlecoil|sc pickup'),
  source('humbucker', 50, 'humbucker|humbuckers|humbucking|hb|hb pickup|humbucker pickup'),
  source(
    'soundhole-magnetic',
    58,
    'soundhole magnetic|soundhole pickup|soundhole mag pickup|soundhole magnetic pickup|soundhole|sound hole pickup|soundhole mag'
  ),
  source(
    'active-guitar',
    58,
    'active guitar|active pickup|active pickups|active humbucker|active humbuckers|active gtr|active electronics|active pup|active pups'
  ),
  source(
    'active-bass',
    55,
    'active bass|active bass guitar|active bass gtr|basse active|basso attivo|bajo activo|aktiver bass',
    'bass-guitar'
  ),
  source('passive-bass', 55, 'passive bass|passive bass guitar|passive bass gtr', 'bass-guitar'),
  source(
    'acoustic-preamp',
    60,
    'built in condenser microphones|built in microphones|preampli integre|preampli incorpore|preamplificateur integre|eingebauter vorverstarker|preamplificatore integrato|previo integrado|ingebouwde voorversterker|onboard pre|built in pre|pickup with preamp|pickup with pre|built in mics|built in condenser mics|internal microphones|internal mics|internal mic|built in mic system|onboard preamp|on board preamp|built in preamp|builtin preamp|internal preamp|preamp inside|with preamp|w preamp|preamp on board|preamp onboard|own preamp|onboard eq|electro acoustic|electro acoustique|guitare electro acoustique|electroacoustique|electro acoustic guitar|electroacoustic|active acoustic|pickup with preamp|preamp built in|preamp pickup|pickup w onboard preamp|onboard electronics|factory preamp|integrated preamp|inbuilt preamp|built in pickups and preamp|built in pickup and preamp|internal pickup and preamp|pickup and preamp inside|piezo and preamp|piezo with preamp|undersaddle piezo and preamp|previo|previo incorporado|preamplificador|active piezo'
  ),
  [{ is: 'magnetic' }, 'magnetic|magnetic pickup|mag pickup|mag|magnetic pu'],
  // Microphones
  source(
    'dynamic-mic',
    50,
    'dynamic|dyn|dynamic mic|dynamic microphone|dyn mic|dynamics|moving coil|dynamisch|dynamisches mikro|dynamique|handheld dynamic|dynamic handheld|switched dynamic|dyn switched|dinamico|dinamica|dynamische|dynamisches|dynamischer|dyn handheld|dyn vocal mic|dynamic vocal mic|vocal dynamic|dynamic on stand|dynamic clip on|clip on dynamic|kick mic|large dynamic'
  ),
  source(
    'condenser-mic',
    52,
    'kondensatormikro|kondensatormikros|kondensatormikrofone|condensatore|condensatori|col de cygne|minis|mini condenser|mini condensers|miniature condenser|miniature condensers|hanging mic|hanging mics|condenser|cond|kond|condensor|condenser mic|condenser microphone|cond mic|condensator|kondensator|kondensatormikrofon|statique|small diaphragm|large diaphragm|sdc|ldc|small condenser|large condenser|pencil condenser|boundary|bndry|bdry|bound|boundary mic|bdry|bdry mic|bndry|bndry mic|boundary cond|boundary condenser|gooseneck|gooseneck condenser|condenser gooseneck|goose neck|clip on condenser|clip condenser|clip cond|clip on cond|clip on mic|clip microphone|clip on microphone|clip mic|clip on|shotgun|shotgun mic|rifle mic|hanging mic|hanging condenser|micro condenser|condenser handheld|handheld condenser|stereo condenser|electret condenser|instrument condenser|pzm|half cardioid|plate mic|table mic|table mics|condensador|condensatore|statico|condens|cnd|sd condenser|ld condenser|small diaphragm condenser|large diaphragm condenser|boundary plate|floor boundary|pencil|pencils|pencil mic|pencil mics|omnis|omni|omni mic|omni mics|cardioid condenser|choir mics|side fill mic|electret gooseneck|swan neck|swan neck mic|swanneck|stereo mic|ms mic|mid side mic|tube mic|valve mic|tube condenser|valve condenser|kugelmikro|grenzflache|grenzflachenmikrofon|schwanenhals|schwanenhalsmikrofon'
  ),
  source('condenser-mic', 59, 'soundhole mic|sound hole mic', 'acoustic-guitar'),
  source('condenser-mic', 52, 'lectern mic|lectern microphone|podium mic|pulpit mic|lectern gooseneck', 'speech'),
  source(
    'ribbon',
    62,
    'passive ribbon microphone|passive ribbon mic|active ribbon mic|ribbon|ribbon mic|ribbon microphone|ribbons|bandchen|bändchen|ruban|passive ribbon'
  ),
  source(
    'lavalier',
    45,
    'lav|lavalier|lavaliere|lapel|lapel mic|omni lav|omni lavalier|omni lapel|wired omni lav|cardioid lav|wired lav|wired lavalier|wired lapel|headset mic|wired headset|tie clip|tie mic|tie clip mic|headworn|head worn|headworn mic|electret|lav mic|lavs|headset|ansteckmikrofon'
  ),
  source(
    'wireless-receiver',
    70,
    'wireless guitar|guitar wireless|guitar wireless rx|guitar radio|gtr wireless|wireless gtr|gtr radio|guitar radio rx',
    'guitar'
  ),
  source(
    'wireless-receiver',
    70,
    'bass wireless|wireless bass|bass radio|bass wireless rx|bass radio rx',
    'bass-guitar'
  ),
  source(
    'wireless-receiver',
    70,
    'micro main hf|main hf|radio hh|wireless hh|tradlos|tradlost|tradløs|tradlos mikrofon|micro hf|hf main|micro sans fil|hh radio|hh wireless|hh rf|handheld radio|handheld wireless|lav radio|lavalier radio|radio lav|radio lavalier|headset radio|radio headset|rf hh|rf handheld|rf headset|rf mic|rf mics|rf lav|rf pack|radio|wireless receiver|wireless rx|radio mic receiver|radio receiver|radio mic rx|rf receiver|receiver|receivers|rx|wireless|radio mic|radio mics|radiomic|rf mic|wireless mic|wireless microphone|wireless handheld|handheld wireless|handheld radio mic|handheld radio mic rx|radio handheld|lav rx|lav radio mic receiver|lav radio mic|headset wireless rx|wireless lav|wireless lavalier|wireless headset|radio lav|radio headset|funkmikro|funkmikrofon|funkstrecke|funkhandsender|funk|inalambrico|radiomicrofono|micro sans fil|sans fil|draadloos|draadloze microfoon|wireless belt pack rx|radio rx|uhf rx|uhf receiver|beltpack rx|pack rx|belt pack rx|body pack rx|headset rx|headset pack rx|lav pack rx|dual receiver|twin receiver|quad receiver|radio mic pack|handheld rx|hh rx|headset mic rx|headset mic pack rx|hf mic|rf|receiver of wireless mic|wireless system|funkempfanger|empfanger|funkmikro empfanger|recepteur|receptor|ricevitore|ontvanger|micro inalambrico|recepteur hf|hf empfanger|wireless rack|bodypack receiver|diversity receiver|hh rf|wireless hh|emetteur|micro hf'
  ),
  source(
    'hi-z-mic',
    62,
    'high impedance dynamic microphone|high impedance dynamic mic|high impedance dynamic|high z dynamic|hi z dynamic mic|hi z dynamic|bullet mic|bullet|hi z mic|hi z bullet mic|high impedance mic|high impedance bullet mic|high z mic|crystal mic|harp mic|harmonica mic|old high impedance mic|hiz mic'
  ),
  // Outputs
  source(
    'line-hot',
    45,
    'modular|modular rack|modular synth|semi modular|semimodular|semi modular synth|eurorack|euro rack|modular system|modular case'
  ),
  source(
    'electric-piano',
    60,
    'electric piano|electric piano passive output|tine piano|tine electric piano|reed piano|reed electric piano|old electric piano|suitcase piano|vintage electric piano|passive electric piano|tine e piano|passive e piano'
  ),
  source(
    'modeller',
    60,
    'modeller|modeler|speaker emulated out|speaker emulated output|speaker simulated out|speaker sim out|speaker emulation out|cab sim|cab sim out|cab sim jack|cab simulator|cabinet simulator|cab emulator|cab emulated out|emulated out|emulated line out|emulated xlr out|simulated out|ir loader|ir box|ir pedal|impulse response loader|amp modeller|amp modeler|guitar modeller|guitar modeler|gtr modeller|gtr modeler|bass modeller|bass modeler|profiler|profiling amp|amp sim|ampsim|amp simulator|multi fx|multi effects|multi fx pedal|multieffects|floorboard|floor modeller|digital amp|amp profiler|modelling amp|modeling amp|modelling pedal|floor unit|guitar floor unit|fx floor unit|floor processor|guitar processor|amp and cab sim|speaker emulated|speaker simulated|speaker sim|cab emulated|ir guitar rig|ir rig|guitar ir|digital rig|guitar floor processor',
    'guitar'
  ),
  source(
    'interface-out',
    60,
    'interface|audio interface|interface out|interface output|interface line out|interface outs|interface balanced out|interface balanced outs|soundcard|sound card|usb interface|usb audio interface|usb box|interface mono out'
  ),
  source(
    'headphone',
    62,
    'sortie casque|prise casque|casque|uscita cuffie|salida de auriculares|salida auriculares|kopfhorerausgang|kopfhorer ausgang|hoofdtelefoonuitgang|horlursuttag|interface headphone|interface headphones|interface headphone out|interface headphone output|interface phones|interface phones out|mixer headphone out|desk headphone out|headphone out|headphone output|headphone jack|headphone socket|hp out|phones out|earphone out|earphone jack|kopfhorerausgang|kopfhörerausgang|headphone|headphones|aux out of phone|headphones out|headphone outs|headphone mini jack|phone jack out|phones jack|phones socket'
  ),
  source(
    'headphone',
    30,
    'ordinateur|ordinateur portable|ordenador|portatile|rechner|computer|dator|laptop|lap|laptops|notebook|tablet|phone|smartphone|mobile|mobile phone|cell phone|mp3 player|mp3|pc|music phone|laptop sound|laptop audio|minijack out|slides|slides laptop|presentation laptop|slide show|computer audio|handy|ordinateur portable|portable|music player'
  ),
  // A pedal or a box that plays back what was played into it.
  source(
    'line-unbalanced',
    40,
    'loop station|looper|vocal harmoniser|vocal harmonizer|vocal harmoniser pedal|vocal harmonizer pedal|harmoniser pedal|harmonizer pedal|vocal effects pedal|loop pedal|looper pedal|phrase sampler|vocal pedal|vocal fx pedal|harmony pedal|vocal harmony pedal|talk box preamp'
  ),
  source(
    'valve-amp',
    40,
    'ext speaker out|speaker out|speaker output|ext cab out|extension cab out|speaker cab out|speaker socket|ext speaker socket|extension speaker socket'
  ),
  source('headphone', 32, 'tv|television|tv set|monitor headphone out|projector audio'),
  source(
    'headphone',
    74,
    'display headphone out|display phones out|display audio out|tv headphone out|tv headphone|tv phones out|screen headphone out|projector headphone out|monitor phones out|pc line out|sound card line out|soundcard line out|computer line out|laptop line out|motherboard line out|pc sound card line out|pc sound card|onboard sound'
  ),
  source(
    'consumer-player',
    42,
    'record output|record out|fm radio|fm tuner|radio tuner|transistor radio|internet radio|tube radio|valve radio|rec out|rec output|desk record output|desk record out|desk rec out|mixer record out|mixer rec out|tape out|tape output|desk tape out|mixer tape out|cd player|cd|cds|cdplayer|cd deck|dvd player|dvd|blu ray player|bluray|blu ray|cassette deck|cassette|tape deck|cassette player|mini disc|minidisc|minidisc player|minidisc deck|set top box|settop box|satellite box|sat receiver|media player|streamer|network player|hi fi player|fm tuner|radio tuner|vhs|video player|consumer player|rca player|tape machine|reel to reel|reel to reel machine|tape loops|tape recorder|dj controller rca|game console|console rca|bluetooth receiver|bluetooth'
  ),
  source(
    'consumer-player',
    75,
    'turntable with built in phono preamp|turntable with built in preamp|turntable with built in phono stage|turntable with internal phono preamp|turntable with internal preamp|record player with built in preamp|record player with built in phono preamp|usb turntable'
  ),
  source(
    'turntable',
    60,
    'turntable|turntables|record player|vinyl|deck vinyl|platenspeler|plattenspieler|platine|record deck|home deck|dj turntable'
  ),
  source(
    'hdmi-extractor',
    72,
    'hdmi extractor|hdmi audio extractor|hdmi de embedder|hdmi deembedder|de embedder|deembedder|hdmi breakout|hdmi audio|hdmi splitter audio|extractor|audio extractor|hdmi de embed|hdmi de embedded|hdmi deembed|de embed|de embedded|video de embedder|sdi de embedder|hdmi'
  ),
  source(
    'line-balanced',
    55,
    'codec|codec out|hardware reverb|rack reverb|outboard reverb|reverb return|delay return|hardware effects|outboard effects|rack effects|vc codec|video codec|conference codec|phone hybrid|telephone hybrid|tel hybrid|hybrid return|phone hybrid return|mixer master out|mixer line out|reverb unit|fx unit|effects unit|delay unit|effects rack|fx rack|reverb unit out|fx unit out|reverb unit rtn|fx rtn|fold back send|foldback send|fold back|foldback|fold back out|monitor mix|mon mix|wedge mix|iem mix|ear mix|cue mix|headphone mix|aux mix|intercom|intercom feed|comms|comms feed|intercom out|reverb rtn|fx return|reverb unit return|reverb out|mixer aux out|mixer group out|mixer matrix out|mixer monitor out|dj mixer balanced master out|dj mixer master out|dj mixer balanced out|powered speaker thru|powered speaker thru out|powered speaker link|powered speaker link out|active speaker thru out|active speaker thru|active speaker out|active speaker link out|speaker thru|speaker link out|thru of a powered speaker|balanced xlr out|mixer main out|mixer main output|mixer output|mixer balanced main output|mixer balanced output|dj mixer balanced outputs|dj mixer output|desk out|desk output|desk aux|desk aux send|aux bus|monitor send|mic pre out|mic preamp out|pre out|desk outs|desk pgm out|desk aux out|desk matrix out|matrix out|matrix|group out|main out|main outs|mixer out|mixer main out|mixer main outs|mixer direct out|direct out|desk direct out|mixer master|desk master|master|masters|master lr|main lr|main mix|desk main|desk mains|desk lr|mixer lr|console lr|console master|console main|foh lr|lr mix|stereo bus|stereo mix out|mix out|mix bus|mix minus|group|groups|bus|mono bus|ob feed|press feed|broadcast feed|stream feed|record feed|rec feed|feed from desk|feed from foh|foh feed|pa feed|desk feed|mixer feed|zone out|processor|limiter out|limiter|crossover|cd recorder out|studio deck out|matrix feed|out of desk|console out|console output|foh out|master out|monitor out|bus out|desk group out|dj mixer|dj mixer out|dj booth out|compressor out|djs mixer|djs own mixer|dj own mixer|dj desk|dj booth mixer|dj console|compressor|comp out|eq out|equaliser out|equalizer out|outboard out|outboard preamp|outboard preamp line out|outboard preamp out|outboard|preamp line out|preamp out|processor out|effects unit out|reverb return|rack cd player|studio tape machine|ob return|truck return|ob truck return|pro line out|professional line output|balanced line|truck out|pa out|mult box out|press box out|programme mix out|pgm out|programme out|desk send|monitor desk out|dsp out|converter out|da out|d a out|dac|tie line out|crossover out|video switcher out|vision mixer out|media server'
  ),
  // Whatever else is said tells more of it than this.
  source('line-balanced', 9, 'line out|line outs'),
  source(
    'line-balanced',
    14,
    'main output|main out|pa send|pa sends|pa feed|pa feeds|pa out|pa outs|main pa|pa|main outs|main mix output|balanced main output|aux out|aux outs|aux send|aux sends'
  ),
  source(
    'line-balanced',
    14,
    'desk|console|mixing desk|pult|mischpult|mengtafel|mengpaneel|table de mixage|console de mixage|mesa de mezclas|mesa|foh desk'
  ),
  source(
    'line-unbalanced',
    74,
    'guitar amp line out|gtr amp line out|guitar head line out|gtr head line out|guitar combo line out|gtr combo line out',
    'guitar'
  ),
  source(
    'bass-amp-out',
    74,
    'guitar amp di out|gtr amp di out|guitar combo di out|guitar head di out|guitar amp xlr out|gtr amp xlr out',
    'guitar'
  ),
  source(
    'bass-amp-out',
    74,
    'acoustic amp di out|acoustic amp di|acoustic amp line out|acoustic amp xlr out|acoustic amp xlr|acoustic combo di out',
    'acoustic-guitar'
  ),
  source(
    'bass-amp-out',
    74,
    'keyboard amp di out|keyboard amp di|keyboard amp line out|keyboard amp xlr out|keys amp di out|keys amp di|keys amp line out',
    'keys'
  ),
  source('bass-amp-out', 72, 'amp line out'),
  source(
    'bass-amp-out',
    72,
    'amp di|amp di out|amp direct out|bass amp direct out|bass head direct out|bass amp di out|bass amp di|bass head di|bass head di out|amp head with di|amp with di|amp head w di|amp w di|head with di|bass amp with di|bass head with di|amp head with di post|amp head with di pre|bass amp line out|bass amp xlr|bass amp xlr out|bass di out|amp di out|bass amp out|bass preamp di|di out of bass amp|bass head xlr|bass head line out|bass combo di|bass combo di out|xlr di out|di out of the amp|di out of the bass amp|di out from amp|di from amp|di off the amp|di off amp|direct out of the amp|direct out of head|direct out of the head|di out of head|di out of the head|line out of head|line out of the head|direct out of amp|amp xlr|amp xlr out|amp head di|amp head di out|head di|head di out|di out pre eq|di out post eq|pre eq di out|post eq di out|out the back of the amp|back of the amp|line out of the amp|line out of amp|bass rig di|bass rig di out|di send',
    'bass-guitar'
  ),
  source(
    'valve-amp',
    74,
    'valve guitar amp|valve guitar head|tube guitar amp|tube guitar head|valve guitar amp head|valve amp head|tube amp head|guitar amp head speaker out|valve guitar amp speaker out|guitar amp extension speaker out|guitar amp speaker output|guitar amp speaker out|amp speaker output|amp speaker out|bass amp speaker output|speaker output of a guitar amp|valve head speaker output|valve head speaker out|valve amp speaker out|tube amp speaker out|tube head speaker out|guitar head speaker out|gtr head speaker out|valve bass head speaker out|speaker out of valve head|amp speaker out|head speaker out|valve amp|valve head|tube head|tube amp|extension speaker out|valve combo|bass head speaker out|guitar amp speaker out|gtr amp speaker out|gtr valve head speaker out|valve bass gtr head speaker out'
  ),
  source(
    'power-amp',
    68,
    'hi fi amp speaker out|hifi amp speaker out|home amp speaker out|domestic amp speaker out|amp rack speaker out|speaker out of a hi fi amp|100 v line|100 volt line|100v line|70 v line|100 v speaker line|70 v speaker line|power amp speaker out|power amp bridged out|bridged power amp out|power amp in bridge mode|power amp in bridged mode|bridged power amp|power amp bridged|power amplifier in bridge mode|bridge mode power amp|power amp|power amp out|power amp output|poweramp out|amp rack out|power amplifier out|power amplifier|poweramp|endstufe|pa amp out|powered mixer speaker out|power amp outs'
  )
];
