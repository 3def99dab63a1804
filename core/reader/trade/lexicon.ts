import type { CableKindId } from '../../gear/cables';
import type { ModelId } from '../../gear/catalogue';
import type { InstrumentId } from '../../gear/instruments';
import type { MicPlace } from '../../gear/mic-places';

/** What a word or a few of the trade stand for. A new word is a new one in a row, a new thing a new row. */
export type Sense =
  /** What is played. `model`: what it gives when nothing more is said; `mic`: where a microphone stands before it. */
  | { is: 'instrument'; instrument: InstrumentId; model: ModelId; mic?: MicPlace }
  /** What the signal comes from. The heaviest of several is meant; the others tell where it is or whose. */
  | { is: 'source'; model: ModelId; weight: number; instrument?: InstrumentId }
  /** A magnetic pickup: which one follows from the instrument. */
  | { is: 'magnetic' }
  | { is: 'quality'; quality: 'active' | 'passive' | 'balanced' }
  /** A DI; without a model its kind was not said. */
  | { is: 'di'; model?: ModelId; dual?: true }
  | { is: 'preamp' }
  | { is: 'box'; model: ModelId }
  /** Where it goes. */
  | { is: 'input'; model: ModelId }
  /** An amplifier or its cabinet: where it goes, or what a microphone stands before. */
  | { is: 'amp'; model: 'amp-in' | 'cabinet' }
  | { is: 'cable'; kind: CableKindId }
  | { is: 'sides' }
  | { is: 'mono' }
  | { is: 'click' }
  | { is: 'channel' }
  | { is: 'count'; count: number }
  | { is: 'mode'; mode: 'active' | 'passive' }
  /** How a balanced output is made. */
  | { is: 'topology'; topology: 'transformer' | 'cross-coupled' | 'impedance-balanced' }
  /** Stands and the like: kept as a note. */
  | { is: 'note' }
  | { is: 'filler' };

const instrument = (id: InstrumentId, model: ModelId, words: string, mic?: MicPlace): [Sense, string] => [
  { is: 'instrument', instrument: id, model, ...(mic ? { mic } : {}) },
  words
];
const source = (model: ModelId, weight: number, words: string, of?: InstrumentId): [Sense, string] => [
  { is: 'source', model, weight, ...(of ? { instrument: of } : {}) },
  words
];
const di = (model: ModelId | undefined, words: string, dual?: true): [Sense, string] => [
  { is: 'di', ...(model ? { model } : {}), ...(dual ? { dual } : {}) },
  words
];
const box = (model: ModelId, words: string): [Sense, string] => [{ is: 'box', model }, words];
const input = (model: ModelId, words: string): [Sense, string] => [{ is: 'input', model }, words];
const cable = (kind: CableKindId, words: string): [Sense, string] => [{ is: 'cable', kind }, words];

/** Rows: what is meant, and how it is said, parted by `|`. Lower case; a plural and a hyphen for a space need not be written out. */
export const LEXICON: readonly (readonly [Sense, string])[] = [
  // Strings
  instrument(
    'bass-guitar',
    'passive-bass',
    'bass|bass guitar|bs|bass gtr|bgtr|bgt|b gtr|e bass|electric bass|ebass|basgitaar|basse|bajo|bassgitarre|fretless|fretless bass|basso|basso elettrico|bajo electrico|baixo|elektrobass|basse electrique|elbas|elbass|el bas|bas|4 string bass|four string bass|short scale bass'
  ),
  instrument(
    'five-string-bass',
    'active-bass',
    'five string bass|5 string bass|5 str bass|five string|5 string|5 str|6 string bass'
  ),
  instrument(
    'upright-bass',
    'piezo',
    'clip on piezo|clip piezo|ac bass|acoustic upright|e upright|e double bass|eub|piezo clip|clip on pickup|electric double bass|electric upright|electric upright bass|db|db pickup|upright bass|upright|double bass|dbl bass|db bass|d bass|string bass|acoustic bass|kontrabass|contrabass|contrabas|contrebasse|kontrabas|bass viol|bull fiddle|standup bass|stand up bass|slap bass|contrabajo|contrabbasso|cb|bass fiddle|upright double bass',
    'strings'
  ),
  instrument(
    'guitar',
    'single-coil',
    'guitar|pedalboard|bari guitar|bari gtr|baritone guitar|baritone gtr|baritone electric|pedal board|guitar pedalboard|gtr|gt|git|gitarre|gitaar|guitare|chitarra|e git|e gitarre|e guitar|electric guitar|elec gtr|elec guitar|electric gtr|egtr|e gtr|el gtr|lead guitar|lead gtr|rhythm guitar|rhythm gtr|rhy gtr|steel guitar|lap steel|pedal steel|baritone guitar|guitarra|guitarra electrica|chitarra elettrica|guitare electrique|elektrische gitaar|stromgitarre|electric|elec|hollow body guitar|semi acoustic guitar|archtop|jazz guitar|tenor guitar|slide guitar|second guitar|guitar pedals|gtr pedals|fx board|pedals',
    'cabinet'
  ),
  instrument(
    'acoustic-guitar',
    'acoustic-preamp',
    'acoustic guitar|acoustic gtr|gtr ac|gtr acoustic|guitar acoustic|gtr acous|git ak|ac gtr|ac guitar|a gtr|agtr|ag|acoustic|ac|a git|akustikgitarre|westerngitarre|western guitar|12 string|twelve string|nylon|nylon string|nylon string guitar|steel string guitar|steel string acoustic|nylon guitar|nylon gtr|classical guitar|cl gtr|cl guitar|class gtr|clsc gtr|spanish guitar|konzertgitarre|flamenco guitar|resonator|ukulele|uke|ukelele|lute|oud|steel string|acc|acc gtr|acc guitar|acou|acou gtr|acous|acous gtr|acous guitar|acst gtr|aco gtr|chitarra acustica|guitarra acustica|guitare acoustique|guitare folk|guitare seche|akustische gitarre|akoestische gitaar|guitarra espanola|guitarra clasica|chitarra classica|gitarre akustisch|dreadnought|parlour guitar|jumbo acoustic|steel string|ac guit|acoustic guit|acoustic 6 string|cuatro|charango|balalaika|theorbo|vihuela|guitalele|banjitar',
    'acoustic'
  ),
  instrument('bouzouki', 'acoustic-preamp', 'bouzouki|zouk|bouzuki|saz|baglama|sitar', 'acoustic'),
  instrument(
    'mandolin',
    'piezo',
    'mandolin|mando|mandola|mandoline|mandocello|octave mandolin|octave mando',
    'acoustic'
  ),
  instrument('banjo', 'dynamic-mic', 'banjo|tenor banjo|bjo', 'acoustic'),
  instrument(
    'violin',
    'piezo',
    'violin|fiddle|fid|geige|violine|viool|violon|vln|electric violin|strings|string section',
    'strings'
  ),
  instrument('viola', 'piezo', 'viola|vla|bratsche|altviool', 'strings'),
  instrument('cello', 'piezo', 'cello|vc|violoncello|celli|vlc|gamba', 'strings'),
  instrument('harp', 'piezo', 'harp|celtic harp|lever harp|concert harp|harfe|kora|lyre', 'strings'),
  instrument(
    'dulcimer',
    'piezo',
    'dulcimer|hammered dulcimer|hackbrett|santur|cimbalom|zither|kantele|hurdy gurdy|nyckelharpa',
    'acoustic'
  ),
  instrument('percussion', 'piezo', 'stomp board|stomp box|stompbox|stomp|porch board|foot stomp'),
  // Keys
  instrument(
    'keys',
    'line-unbalanced',
    'keys|key|guitar synth|gtr synth|synth guitar|monosynth|polysynth|keyboard|kbd|kb|keyb|ep|e.p|kys|pads|synth pad|synth pads|string pad|string pads|pad keys|pads keys|pad synth|ambient pad|ambient pads|keys pad|keys pads|synth|syn|synthesizer|synthesiser|piano|pno|digital piano|stage piano|e piano|epiano|workstation|sampler|sampling keyboard|arranger|klavier|clavier|master keyboard|midi module|sound module|module|groovebox|laptop synth|keytar|string machine|bass synth|synth bass|poly synth|mono synth|soft synth|vocoder|clav|clavinet|teclado|teclados|tastiera|tastiere|sintetizador|sintetizzatore|synthesizer|keyb rig|keys rig|key rig|toetsen|toetsenbord|analog synth|analogue synth|analog mono|analogue mono|analog mono synth|analogue mono synth|bass station|rompler|electric harpsichord|pianet'
  ),
  instrument(
    'organ',
    'line-unbalanced',
    'organ|orgel|digital organ|clonewheel organ|clonewheel|church organ|electronic organ|drawbar organ|portable organ',
    'room'
  ),
  instrument(
    'organ',
    'dynamic-mic',
    'organ rotary|rotary|rotary speaker|rotary cab|rotary cabinet|organ rotary cab|organ cab|organ speaker',
    'cabinet'
  ),
  instrument(
    'organ',
    'dynamic-mic',
    'harmonium|accordion|accordeon|squeezebox|concertina|melodeon|melodica|bandoneon',
    'reed'
  ),
  instrument(
    'keys',
    'condenser-mic',
    'grand piano|upright piano|acoustic piano|concert grand|baby grand|celesta|harpsichord',
    'room'
  ),
  instrument('organ', 'condenser-mic', 'pipe organ|organ pipe|organ pipes|organ loft', 'room'),
  instrument('theremin', 'line-unbalanced', 'theremin|ondes'),
  instrument(
    'drums',
    'line-unbalanced',
    'electronic drum kit|electric drum kit|batterie electronique|bateria electronica|batteria elettronica|e schlagzeug|elektronisches schlagzeug|elektronische drums|elektronisch drumstel|multi pad|trigger pad|pad module|drum pads|electronic kit|electric drums|digital drums|e drum brain|e kit brain|e drums|edrums|e drum|electronic drums|e kit|e drum module|drum module|drum brain|drum machine|drum computer|drumcomputer|drum pad|drum trigger|trigger module|sample pad|sampling pad|kick trigger|kick drum trigger|snare trigger|drum triggers|triggers|drum sampler|drum synth|perc synth|percussion synth|sampler pad|sampler pads|trigger pads|pads drummer|multi pads|drum sample pad|perc pad|perc sample pad|percussion pad|sample pads|electronic kit|beatbox machine'
  ),
  // Drums and percussion
  instrument(
    'drums',
    'dynamic-mic',
    'bastrumma|bastrommel|basstrommel|bassdrum|grosse caisse|kick|kik|kick in|kick out|kick sub|sub kick|subkick|kick sub mic|kick drum|bombo|cassa|grancassa|kick drum in|kick drum out|kik in|kik out|kick inside|kick outside|kd|bdr|k in|k out|bass drum mic|bass drum|bassdrum|bd|bass drum in|bass drum out|bdin|bdout|gran cassa|grosse caisse|grosse trommel|sub kick',
    'kick'
  ),
  instrument(
    'drums',
    'dynamic-mic',
    'virvel|virveltrumma|kleine trommel|rullante|caja clara|snare|sn|snr|snare top|snare bottom|snare btm|snare bot|sn top|sn bot|sn btm|sd|snare drum|snare up|snare dn|snare under|caisse claire|side drum|rim|rullante|redoblante|kleine trommel|snare wires|snr top|snr btm|snr bot|snr bottom|snare t|snare b|sn t|sn b',
    'snare'
  ),
  instrument(
    'drums',
    'dynamic-mic',
    'tom|toms|rack tom|floor tom|floortom|racktom|standtom|stand tom|hangetom|hange tom|tom hi|tom lo|tom mid|hi tom|lo tom|mid tom|flt|ft|rt|rack|roto tom|timpani|timps',
    'toms'
  ),
  instrument(
    'drums',
    'condenser-mic',
    'oh|ohs|overhead|overheads|over head|hi hat|hihat|hat|hats|hh|ride|cymbals|cymbal|crash|drum room|drum rooms|room mic|rooms|drum overheads|perc oh|overhead drums|hat mic|underheads',
    'overhead'
  ),
  instrument(
    'drums',
    'dynamic-mic',
    'trummor|trommor|trommer|drums|drum|drum kit|kit|schlagzeug|batterie|slagwerk|dr|bateria|batteria|trommeln|drum shell|drum mono',
    'snare'
  ),
  instrument(
    'percussion',
    'dynamic-mic',
    'percussion|perc|conga|congas|bongo|bongos|cajon|cahon|djembe|darbuka|timbales|tabla|tabla hi|tabla lo|udu|surdo|bodhran|tambourine|shaker|shakers|toys|cowbell|woodblock|frame drum|bata|guiro|triangle|wind chimes|chimes|marimba|vibes|vibraphone|xylophone|glock|glockenspiel|tubular bells|steel pan|steel pans|steel drum|handpan|kalimba|mbira|thumb piano|tongue drum|singing bowl|singing bowls|jaw harp|cabasa|temple blocks|washboard|hang drum|bells|taiko|dhol',
    'toms'
  ),
  // Winds
  instrument(
    'saxophone',
    'dynamic-mic',
    'sax|saxophone|reed|reeds|woodwind doubler|reed player|alto sax|tenor sax|soprano sax|bari sax|baritone sax|alto|altos|tenor|tenors|bari|baris|saxes|saxofoon|saxophon',
    'sax'
  ),
  instrument(
    'brass',
    'dynamic-mic',
    'trumpet|tpt|trpt|hn|hns|hrn|trombone|tbn|trb|brass|horn|horns|french horn|flugelhorn|flugel|tuba|sousaphone|cornet|euphonium|tenor horn|alto horn|baritone horn|trompete|posaune|trompet|bone|bones|brass section|horn section',
    'brass'
  ),
  instrument(
    'flute',
    'dynamic-mic',
    'flute|fl|flauto|flauta|fluit|blockflote|flute a bec|piccolo|whistle|tin whistle|low whistle|recorder flute|clarinet|clar|cl|oboe|ob|bassoon|fagott|english horn|cor anglais|winds|woodwind|woodwinds|pan flute|panpipes|duduk|bagpipes|pipes|uilleann pipes|querflote|floete|didgeridoo|didge',
    'strings'
  ),
  instrument('harmonica', 'dynamic-mic', 'harmonica|blues harp|mouth organ|harmo|mouth harp', 'vocal'),
  // Voices
  instrument(
    'vocals',
    'dynamic-mic',
    'vocal|vocals|vox|voc|vx|lead vox|lead vocal|lead voc|ld vox|main vox|main vocal|ldvox|lv|bv|bvs|bvox|bgv|bgvs|backing vocal|backing vocals|backing vox|backing voc|back vox|bkg vox|b vox|b v|harmony vox|choir mic|singer|singers|gesang|zang|chant|voix|sang|sangare|vokal|leadsang|korsang|canto|cantante|chanteur|chanteuse|zanger|zangeres|sanger|sangerin|guest vox|rap vox|mc vox|female vox|male vox|guide vocal|leader vox|worship leader|vocal mic|duet|lead singer|rapper|beatbox|vox mic|voz|voz principal|voce|voce principale|stimme|hauptgesang|choeurs|coros|cori|frontman|frontwoman|front vox|front vocal|centre vox|center vox|drum vox|drummer vox|drummer vocal|keys vox|keys vocal|gtr vox|bass vox|lead singer mic|vocalist|soloist|solo vocal|hype man',
    'vocal'
  ),
  instrument(
    'vocals',
    'condenser-mic',
    'choir|chorus|choeurs|voix choeur|choir soprano|choir alto|choir tenor|choir bass|sopranos|satb|coro|chor|choeur|koor|choir overhead|choir overheads|choir front|choir back|choir left|choir right|kids choir|ensemble vocals|choir rehearsal|gospel choir',
    'choir'
  ),
  instrument(
    'speech',
    'dynamic-mic',
    'speech|talkback|talk back|tb|tb mic|commentator|commentary|presenter|host|hosts|compere|announcer|announce|announcement|voice over|voiceover|vo|narrator|narration|reader|readings|lectern|lectern a|lectern b|podium|pulpit|sermon|pastor|preacher|priest|minister|rabbi|imam|vicar|celebrant|speaker mic|speaker at lectern|interview|interviewer|interviewee|guest|podcast|podcast guest|podcast host|panel|panellist|panelist|panels|moderator|chair|chairman|chairperson|delegate|delegates|conference|keynote|q&a|q and a|qa|audience q|mc mic|emcee|auctioneer|lav mic|actor|actors|cast|narr|director|stage manager|sm talkback|show caller|caller|interpreter|translator|newsreader|news desk|ponente|orador|relatore|oratore|orateur|animateur|redner|rednerpult|leseplatz|ambo|altar|altar mic|communion table|mayor|speaker at the lectern|anchor|god mic|vog|quizmaster|toast|bride|groom|officiant|judge|witness|lecturer|teacher|professor|sprecher|moderation|spreker|presentator|radio play',
    'speech'
  ),
  instrument(
    'speech',
    'condenser-mic',
    'audience|ambience|ambient|amb|crowd|audience mic|float|floats|foot mic|stage float|room|atmo|ambi|apron',
    'room'
  ),
  // Programme
  instrument(
    'programme',
    'interface-out',
    'zuspieler|zuspielung|samples|sample playback|stings|sfx|sound effects|einspieler|einspielung|playback laptop|playback computer|tracks|trks|trx|trk|track|di track|di tracks|di signal|di recording|dry di|backing track|backing tracks|click|clk|click track|metronome|stems|playback|pb|play back|cue|sfx|fx|fx playback|effects|sound effects|spot fx|vt|vts|vt playback|video|video sound|video playback|video audio|stream|stream return|return|programme|program|pgm|prog|show relay|relay|music|walk in music|walk in|walk out music|break music|foyer music|interval music|house music|bgm|background music|theatre fx|sting|stings|intro|outro|jingle|jingles|soundscape|sequencer|seq|computer|comp|daw|mix|check mix|ref track|reference track|reference|dj'
  ),
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
  source('active-bass', 55, 'active bass|active bass guitar|active bass gtr', 'bass-guitar'),
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
    'minis|mini condenser|mini condensers|miniature condenser|miniature condensers|hanging mic|hanging mics|condenser|cond|kond|condensor|condenser mic|condenser microphone|cond mic|condensator|kondensator|kondensatormikrofon|statique|small diaphragm|large diaphragm|sdc|ldc|small condenser|large condenser|pencil condenser|boundary|bndry|bdry|bound|boundary mic|bdry|bdry mic|bndry|bndry mic|boundary cond|boundary condenser|gooseneck|gooseneck condenser|condenser gooseneck|goose neck|clip on condenser|clip condenser|clip cond|clip on cond|clip on mic|clip microphone|clip on microphone|clip mic|clip on|shotgun|shotgun mic|rifle mic|hanging mic|hanging condenser|micro condenser|condenser handheld|handheld condenser|stereo condenser|electret condenser|instrument condenser|pzm|half cardioid|plate mic|table mic|table mics|condensador|condensatore|statico|condens|cnd|sd condenser|ld condenser|small diaphragm condenser|large diaphragm condenser|boundary plate|floor boundary|pencil|pencils|pencil mic|pencil mics|omnis|omni|omni mic|omni mics|cardioid condenser|choir mics|side fill mic|electret gooseneck|swan neck|swan neck mic|swanneck|stereo mic|ms mic|mid side mic|tube mic|valve mic|tube condenser|valve condenser|kugelmikro|grenzflache|grenzflachenmikrofon|schwanenhals|schwanenhalsmikrofon'
  ),
  source('condenser-mic', 52, 'lectern mic|lectern microphone|podium mic|pulpit mic|lectern gooseneck', 'speech'),
  source(
    'ribbon',
    62,
    'passive ribbon microphone|passive ribbon mic|active ribbon mic|ribbon|ribbon mic|ribbon microphone|ribbons|bandchen|bändchen|ruban|passive ribbon'
  ),
  source(
    'lavalier',
    45,
    'lav|lavalier|lavaliere|lapel|lapel mic|wired lav|wired lavalier|wired lapel|headset mic|wired headset|tie clip|tie mic|tie clip mic|headworn|head worn|headworn mic|electret|lav mic|lavs|headset|ansteckmikrofon'
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
    'radio hh|wireless hh|tradlos|tradlost|tradløs|tradlos mikrofon|micro hf|hf main|micro sans fil|hh radio|hh wireless|hh rf|handheld radio|handheld wireless|lav radio|lavalier radio|radio lav|radio lavalier|headset radio|radio headset|rf hh|rf handheld|rf headset|rf mic|rf mics|rf lav|rf pack|radio|wireless receiver|wireless rx|radio mic receiver|radio receiver|radio mic rx|rf receiver|receiver|receivers|rx|wireless|radio mic|radio mics|radiomic|rf mic|wireless mic|wireless microphone|wireless handheld|handheld wireless|handheld radio mic|handheld radio mic rx|radio handheld|lav rx|lav radio mic receiver|lav radio mic|headset wireless rx|wireless lav|wireless lavalier|wireless headset|radio lav|radio headset|funkmikro|funkmikrofon|funkstrecke|funkhandsender|funk|inalambrico|radiomicrofono|micro sans fil|sans fil|draadloos|draadloze microfoon|wireless belt pack rx|radio rx|uhf rx|uhf receiver|beltpack rx|pack rx|belt pack rx|body pack rx|headset rx|headset pack rx|lav pack rx|dual receiver|twin receiver|quad receiver|radio mic pack|handheld rx|hh rx|headset mic rx|headset mic pack rx|hf mic|rf|receiver of wireless mic|wireless system|funkempfanger|empfanger|funkmikro empfanger|recepteur|receptor|ricevitore|ontvanger|micro inalambrico|recepteur hf|hf empfanger|wireless rack|bodypack receiver|diversity receiver|hh rf|wireless hh|emetteur|micro hf'
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
    'record output|record out|fm radio|fm tuner|radio tuner|transistor radio|internet radio|tube radio|valve radio|rec out|rec output|desk record output|desk record out|desk rec out|mixer record out|mixer rec out|tape out|tape output|desk tape out|mixer tape out|cd player|cd|cds|cdplayer|cd deck|dvd player|dvd|blu ray player|bluray|blu ray|cassette deck|cassette|tape deck|cassette player|mini disc|set top box|settop box|satellite box|sat receiver|media player|streamer|network player|hi fi player|fm tuner|radio tuner|vhs|video player|consumer player|rca player|tape machine|tape loops|tape recorder|dj controller rca|game console|console rca|bluetooth receiver|bluetooth'
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
    'hdmi extractor|hdmi audio extractor|hdmi de embedder|hdmi deembedder|de embedder|deembedder|hdmi breakout|hdmi audio|hdmi splitter audio|video de embedder|sdi de embedder|hdmi'
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
    'amp di|amp di out|amp direct out|bass amp direct out|bass head direct out|bass amp di out|bass amp di|bass head di|bass head di out|amp head with di|amp with di|amp head w di|amp w di|head with di|bass amp with di|bass head with di|amp head with di post|amp head with di pre|bass amp line out|bass amp xlr|bass amp xlr out|bass di out|amp di out|bass amp out|bass preamp di|di out of bass amp|bass head xlr|bass head line out|bass combo di|bass combo di out|xlr di out|di out of the amp|di out of the bass amp|di out from amp|di from amp|di off the amp|di off amp|direct out of the amp|direct out of amp|amp xlr|amp xlr out|amp head di|amp head di out|head di|head di out|di out pre eq|di out post eq|pre eq di out|post eq di out|out the back of the amp|back of the amp|line out of the amp|line out of amp|bass rig di|bass rig di out|di send',
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
  ),
  // DIs
  di(
    undefined,
    'di|d.i|d.i.s|di boxen|di bokse|di bokser|di lador|di lada|caja directa|caja de inyeccion|scatola di|inyeccion directa|di box|direct box|direct injection|di unit|d i|di boxes|mono di|di pedal|dibox|direct injection box|boite de direct|did|d.i. box|di boks|caja di|caixa di|cassa di|boitier di|boite di|di mono|direct inject'
  ),
  di(
    undefined,
    'dual di|two channel di|2 channel di|2ch di|2 ch di|stereo di|twin di|double di|stereo di box|dual di box|two way di|di dual|di stereo',
    true
  ),
  di(
    'active-di',
    'two channel active di|2 channel active di|dual active di|stereo active di|twin active di|active dual di|active stereo di|2ch active di',
    true
  ),
  di(
    'passive-di',
    'two channel passive di|2 channel passive di|dual passive di|stereo passive di|twin passive di|passive dual di|passive stereo di|2ch passive di',
    true
  ),
  di(
    'active-di',
    'active di|active di box|active direct box|di active|aktive di|di attiva|di attivo|di activa|di activo|actieve di|di actieve|di aktiv|phantom powered di|phantom di|powered di|battery di|di battery powered|active box'
  ),
  di(
    'passive-di',
    'passive di|passive di box|passive transformer box|passive transformer di|passive direct box|transformer to low impedance|transformer to low z|impedance matching transformer|impedance transformer|matching transformer|hi z to lo z transformer|high to low impedance transformer|line matching transformer|transformer di|di passive|passive box|di passiva|di passivo|di pasiva|di pasivo|passieve di|di passiv|transformer di box|trafo di|iso di|iso di box|isolated di|isolating di|isolation di|isolated di box|transformer isolated di|galvanically isolated di'
  ),
  di('active-di-10m', '10 meg di|10 meg active di|10 megohm di|10 mohm di|high impedance di|10 meg di box|di 10 meg'),
  di(
    'preamp-di',
    'preamp di|tube preamp di|valve preamp di|own preamp di|own preamp pedal|own di preamp|his own preamp di|her own preamp di|his preamp di|her preamp di|preamp di pedal|preamp di box|di preamp|preamp with di|preamp w di|preamp pedal|preamp pedal with di|preamp pedal w di|w preamp pedal|with preamp pedal|acoustic preamp di|acoustic preamp pedal|acoustic di preamp|di preamp pedal|tone preamp|preamp box|pedal preamp|acoustic pedal|eq preamp pedal|preamp di unit|acoustic preamp|acoustic preamp with di|bass preamp pedal|bass preamp di pedal|preamp floor pedal'
  ),
  di(
    'media-di',
    'media di|mono media di|mini jack di|mini-jack di|media di mono|mono sum media di|mono summing media di|summing di|laptop di|pc di|av di|minijack di|multimedia di|media box|mono sum di|stereo to mono media di|stereo to mono media box|playback di|rca di|phono di|3.5 di|3.5 mm di|laptop di box|pc di box|computer di|minijack di box|media player di|audio visual di|multimedia di box'
  ),
  di(
    'media-di-stereo',
    'stereo media di|media di stereo|stereo laptop di|stereo pc di|dual media di|two channel media di|stereo av di|stereo minijack di|stereo media box|stereo playback di|stereo multimedia di'
  ),
  di(
    'speaker-di-passive',
    'transformer di with speaker pad|passive di with speaker pad|transformer di with speaker level pad|speaker line tapped by a transformer di|passive speaker di|passive speaker level di|passive speaker box|transformer speaker di|speaker di, passive|passive speaker tap'
  ),
  di(
    'speaker-di',
    'di with speaker pad|di with speaker level pad|speaker pad di|speaker di|speaker level di|spk level di|spkr level di|spkr di|spk di|speaker lvl di|speaker box di|speaker emulating di|amp di box|load di|cab sim di|speaker box|speaker level box|speaker tap di'
  ),
  di(
    'passive-di-economy',
    'cheap di|cheap passive di|passive di economy|passive di cheap|di economy|economy di box|economy di|economy passive di|budget di|economy passive box'
  ),
  [
    { is: 'preamp' },
    'preamp|pre amp|tube preamp|valve preamp|tube pre|valve pre|rack preamp|channel strip|vorverstarker|vorverstärker'
  ],
  // Boxes
  box(
    'buffer',
    'buffered out|buffered|buffer|impedance buffer|hi z buffer|buffer pedal|line buffer|buffered bypass pedal|booster pedal|clean boost|pedalboard buffer|buffer box'
  ),
  box(
    'mic-booster',
    'inline booster|in line booster|mic booster|inline mic booster|inline preamp|in line preamp|booster|mic activator|ribbon booster|inline mic preamp|microphone booster'
  ),
  box(
    'phono-preamp',
    'phono preamp|preampli phono|preamp phono|phono pre|phono stage|phono preamplifier|riaa preamp|riaa|phono amp|entzerrer|riaa pre'
  ),
  box(
    'load-box',
    'load box|loadbox|reactive load|load box line out|attenuator line out|dummy load|reactive load box|power soak'
  ),
  box(
    'patch-bay',
    'patch bay|patchbay|jackfield|jack field|patch panel|tie line|tie lines|tieline|steckfeld|patch field|normalled patchbay'
  ),
  box(
    'isolator',
    'transformer isolated leg of a splitter|transformer isolated leg of splitter|isolated leg of a splitter|isolated leg of splitter|isolated output of a splitter|isolated output of splitter|isolated split output|transformer isolated output|transformer isolated split|isolated leg|isolated side of a splitter|isolator|line isolator|line iso|iso|isolation transformer|isolating transformer|line transformer|iso transformer|1 1 iso|1 1 isolator|1 1 transformer|iso box|ground loop isolator|hum eliminator|hum isolator|transformer isolator|line iso transformer|trennubertrager|übertrager|transformer box|isos'
  ),
  box(
    'splitter',
    'splitter|two way splitter|2 way splitter|three way splitter|3 way splitter|mic splitter|transformer split|transformer splitter|1 2 transformer splitter|1 2 splitter|split|split box|mic split|splitter box|isolated split|aby|aby box|aby pedal|a b y|press split|two way split|passive split|transformer isolated split'
  ),
  box(
    'reamp-box',
    'reamp box|reamp transformer|re amp transformer|reamp transformer box|re amp box|reamper|reamp|re amp|reamping box|reamp di'
  ),
  box(
    'reversed-di',
    'passive di used backwards|di used backwards|di reversed|di turned round|di wrong way round|di the wrong way round|passive di reversed|passive di in reverse|di in reverse|passive di turned round|passive di wrong way round|transformer di backwards|transformer di used backwards|backwards passive di|reversed passive di|reversed di|reversed box|di backwards|passive di backwards|backwards di|reverse di'
  ),
  box(
    'inline-pad',
    'inline pad|in line pad|xlr pad|barrel pad|inline attenuator|attenuator|in line attenuator|pad barrel'
  ),
  box(
    'converter-up',
    'level converter|matching converter|-10 to +4 converter|-10 to +4|10 to 4 converter|consumer to pro converter|unbalanced to balanced converter|up converter|match box|line level converter|-10 +4 converter|level converter up|rca to xlr converter|consumer to pro|converter to pro'
  ),
  box(
    'converter-down',
    '+4 to -10 converter|+4 to -10|4 to 10 converter|pro to consumer converter|balanced to unbalanced converter|down converter|level converter down|pro to consumer|+4 -10 converter'
  ),
  box(
    'small-mixer',
    'small mixer|little mixer|sub mixer|submixer|line mixer|keyboard mixer|keys mixer|mini mixer|stage mixer|mixer|rack mixer|sidecar mixer|4 channel mixer|8 channel mixer'
  ),
  box('merge-box', 'merge box|summing box|stereo to mono summing box|summing lead'),
  box('balun', 'balun|rca balun'),
  box(
    'rca-isolator',
    'rca isolator|rca ground loop isolator|phono isolator|rca iso|rca transformer|rca isolation transformer|unbalanced isolator|unbalanced isolating transformer|hi fi isolator|hifi isolator|car audio isolator|rca hum eliminator|rca line isolator'
  ),
  box(
    'jack-to-xlr',
    'jack to xlr|jack to xlr lead|jack to xlr leads|jack to xlr cable|trs to xlr|trs to xlr lead|ts to xlr|jack xlr|trs xlr|jack to xlr adapter|trs to xlr leads|jack to xlr adapters|jack-xlr lead|trs xlr lead|klinke auf xlr|klinke xlr|xlr to trs lead from jack'
  ),
  box(
    'rca-to-jack',
    'rca to jack|rca to jack adapter|rca to jack adapters|rca to jack lead|rca to jack leads|phono to jack|rca to ts|phono plug to jack|rca jack adapter|rca to quarter inch|rca to trs|cinch auf klinke|rca jack lead|rca to 1 4'
  ),
  box(
    'rca-to-xlr',
    'rca to xlr|rca to xlr lead|rca to xlr leads|rca to xlr cable|rca to xlr adapter|phono to xlr|rca xlr|rca xlr lead|cinch auf xlr|phono plug to xlr|rca to xlr adapters'
  ),
  box(
    'xlr-to-rca-grounded',
    'xlr to rca|xlr to rca lead|xlr to rca leads|xlr to phono|xlr to phono plug|xlr to phono plug lead|xlr to phono plug leads|xlr to rca adapter|xlr rca|xlr auf cinch|xlr to phono leads'
  ),
  box(
    'xlr-to-jack',
    'xlr to jack|xlr to jack lead|xlr to jack leads|xlr to trs|xlr to trs lead|xlr to ts lead|xlr to jack cable|xlr to jack adapter|xlr jack lead|xlr auf klinke|xlr to quarter inch'
  ),
  box(
    'jack-to-rca',
    'jack to rca|jack to rca lead|jack to phono lead|ts to rca|jack to rca leads|jack to rca adapter|jack to phono'
  ),
  box('jack-to-mini', 'jack to minijack|jack to minijack adapter|jack to 3.5|jack to 3.5 mm|jack to 3.5 adapter'),
  box('mini-to-jack', '3.5 to jack adapter|minijack to jack adapter|3.5 to 6.35 adapter|3.5 mm to jack adapter'),
  // Ends
  input(
    'mic-in',
    'entree micro|entrada de micro|entrada micro|mic eingang|ingresso mic|ingresso microfonico|ingresso micro|camera xlr in|camcorder xlr in|ha|head amp|head amps|ha in|mic amp in|mic in|mic ins|mic input|mic inputs|mic pre|mic pres|mic preamp|mic preamps|micpre|mic pre in|microphone input|microphone in|microphone preamp|preamp in|mic pre amp|desk mic in|foh desk mic in|interface mic in|desk input|mic amp|mikrofoneingang|mic channel|desk mic input|mic level in|pre'
  ),
  input(
    'mic-in',
    'sb|on stage box|at stage box|stage box|stagebox|stgbox|stg box|stbx|sbx|s box|snake|snk|multi|multicore|mc|multicore box|snake box|stage rack|stage box input|boitier de scene|boite de scene|boitier|stage snake|sub snake|drop snake|subsnake|wall panel|wall box|wallbox|wall plate|floor box|floor pocket|stage pocket|floor plate|floorbox|stageboks|snake head|multicore input|multi core|sb a|sb b|satellite stage box|stage input|stage in|caja de escenario|cajetin|cajetin de escenario|ciabatta|multipaar|multipar|manguera|patch de scene|multipaire|stagebox a|stagebox b|stage left box|stage right box|drop box|dropbox|drop|floor pocket|floor trap|dip|dip trap|loom|stage multi|multi box|tail|stage plate|wall plate|stage patch|mulitcore'
  ),
  input(
    'line-in',
    'headphone amp|headphones amp|headphone amplifier|headphone amp in|headphone amp input|hp amp|entree ligne|entrees ligne|entrada de linea|entrada linea|line eingang|lineeingang|ingresso linea|ingresso di linea|lijningang|camera xlr in set to line|camcorder xlr in set to line|xlr in set to line|unbalanced line input|unbalanced line in|unbalanced line inputs|balanced line input|balanced line in|line in|line ins|matrix line|matrix line in|matrix in|matrix ins|matrix input|line input|line inputs|linein|pro line in|professional line in|pro line input|desk line in|interface line in|line level in|line level input|line-in|truck line in|monitor line in|powered monitors line in|balanced line in|line channel|stereo line in|mixer jack in|mixer jack input|mixer line in|mixer line input|mixer channel in|desk jack input|desk jack in|line return|tape return|recorder line in'
  ),
  input(
    'combo-in',
    'combo in|combo|combo input|combi in|combi|combo jack|combi input|interface combo in|xlr combo in|combo socket|combi socket'
  ),
  input(
    'instrument-in',
    'hi z|hiz|hi z in|hi z input|hiz in|high z in|high z input|high impedance input|high impedance in|inst in|instrument in|instrument input|inst input|interface hi z|interface hi z in|interface instrument in|instrument input on interface|hi z instrument input|hi z channel|guitar input|hi-z in'
  ),
  input(
    'consumer-in',
    'rca in|rca ins|rca input|rca inputs|rca in of hi fi amp|rca in of hifi amp|hi fi amp rca in|hi fi amp|hifi amp|hi fi|hifi|domestic amp|rca ins of domestic amp|stereo amp rca in|consumer input|home amp|living room amp|tape in|cinch eingang|phono plug in'
  ),
  input(
    'aux-in',
    'aux in|aux input|aux ins|aux in of powered speaker|aux in of monitor controller|minijack in|3.5 in|3.5 mm in|aux|minijack input|3.5 input'
  ),
  input(
    'phono-in',
    'phono in|phono input|phono ins|phono in of mixer|phono in of dj mixer|turntable input|phono channel'
  ),
  input(
    'camera-in',
    'minijack mic in|3.5 mm mic in|3.5 mic in|laptop minijack mic in|laptop 3.5 mic in|laptop 3.5 mm mic in|pc mic in|pc minijack mic in|camera minijack in|camera minijack mic in|camera minijack microphone in|camera 3.5 mm in|camera 3.5 mic in|laptop mic in|laptop stereo mic in|laptop microphone in|computer mic in|phone mic in|tablet mic in|minijack in of a laptop|minijack in of the laptop|stereo minijack in of a laptop|mic in of a laptop|minijack in of a camera|laptop in|laptop minijack in|pocket recorder minijack in|camera microphone input|camera microphone in|camera microphone|camera mic|camcorder mic in|camcorder microphone input|camera|camera in|camera mic in|camera mic input|camcorder|cam in|camera audio in|camera input|dslr|video camera'
  ),
  input(
    'recorder-in',
    'recorder|recorder in|recorder ins|recorder input|multitrack|multitrack recorder|field recorder|recorder line|field recorder line in|field recorder in|multitrack line in|recorder line ins|recording interface in|stereo recorder|recorder inputs|audio recorder'
  ),
  input(
    'power-amp-in',
    '100 v line amplifier input|100 v line amplifier|100 v line amp|100 v amp|100 v amp in|100 v amp input|100 v amp line in|100 v amplifier|100 v amplifier input|100v line amplifier input|100v line amplifier|100v line amp|100v amp|100v amp in|100v amp input|100v amp line in|100v amplifier|100v amplifier input|70v amp|70 v amp|70v amplifier|70 v amplifier|installation amp|installation amplifier|paging amp|paging amplifier|zone amp|zone amplifier|drum fill amp|side fill amp|sidefill amp|fill amp|wedge amp|monitor amp|power amp in|power amp input|power amp inputs|poweramp in|amp rack in|power amp ins|power amplifier input|to power amp|powered amp in|zone amp|pa amp in|100 v amp in'
  ),
  input(
    'insert-return',
    'insert return|insert|insert rtn|insert ret|insert in|channel insert|desk insert|insert point'
  ),
  input(
    'loop-amp-in',
    'loop amp|hearing loop|listening loop|assistive listening|assistive listening loop|assistive listening system|hearing loop amp|induction loop amp|loop amplifier|induction loop|hearing loop amplifier|loop amp in|loop driver|hearing loop driver|t loop amp|loop amp input|hearing loop input'
  ),
  input(
    'iem-sender-in',
    'iem sender|iem transmitter|iem transmitter in|iem tx|in ear sender|in ear transmitter|iem pack in|iem|iem rack|iems|in ears|in ear|iem in|ear sender|iem send|tx rack|iem tx rack|in ear rack|ears rack|ear tx|iem packs|ear packs|in ears send|in ears tx|in ear tx|ears tx'
  ),
  input(
    'beltpack-in',
    'bodypack|body pack|beltpack|belt pack|beltpack transmitter|wireless bodypack|wireless beltpack|transmitter pack|bodypack transmitter|pack|tx pack|radio pack|wireless transmitter|taschensender|belt pack transmitter|transmitter|wireless pack|instrument transmitter'
  ),
  input(
    'speaker-in',
    'drum fill|drumfill|delay speaker|delay speakers|delay stack|delay stacks|delay tower|delay towers|active top|active tops|powered top|powered tops|powered speaker|active speaker|speakers active|speaker active|active speakers|powered speakers|wedge active|active wedges|powered monitor|powered monitors|powered wedge|active monitor|active monitors|active wedge|powered sub|active sub|keyboard amp|keys amp|acoustic amp|self powered speaker|studio monitor|studio monitors'
  ),
  [
    { is: 'amp', model: 'cabinet' },
    'passive wedge|passive speaker|passive speakers|passive monitor|passive monitor speakers|passive monitors|wedge|wedges|passive cab|passive cabinet|speaker|speakers|loudspeaker|loudspeakers|cabinet|cab|cabs|speaker cab|speaker cabinet|passive sub|monitor speakers|passive speaker under the set|4x12|2x12|1x12|guitar cab|gtr cab|bass cab|passive loudspeaker|lautsprecher'
  ],
  [
    { is: 'amp', model: 'amp-in' },
    'guitar amp|guitar amp in|gtr amp|ampd|amped|gtr amp in|amp|amp in|amp input|bass amp|bass amp in|bass rig|guitar combo|combo amp|guitar rig|backline amp|amplifier|guitar head|bass head|bass combo|amp head|verstarker|amp front|front of amp|combo amp in|pedal in|pedal input|pedalboard in|pedalboard input|fx pedal in|effects pedal in|effect pedal in|pedals in|guitar pedal in|guitar pedal input|guitar combo in|stage amp|amp on stage|backline amp|bass cab amp|amp onstage|players amp|own amp|his amp|her amp|their amp|bass stack|half stack|full stack|stack'
  ],
  // Cables and plugs
  cable(
    'instrument',
    'jack|jack lead|jack cable|ts|ts lead|ts cable|instrument lead|instrument cable|guitar lead|guitar cable|klinke|klinkenkabel|quarter inch|quarter inch lead|1 4|1 4 inch|jack jack|mono jack|6.35|6.3|patch lead|patch cable|jackkabel|telekabel|telejack|jack ts|lead from guitar|gtr lead|twin jack|jacks|ts leads'
  ),
  cable(
    'mic',
    'stereo jack lead|stereo jack cable|stereo jack|xlr|xlr cable|xlr lead|mic cable|mic lead|microphone cable|xlr m f|xlr mf|m f|balanced cable|balanced lead|trs|trs lead|trs cable|xlr xlr|kabel xlr|xlrs|balanced jack|trs jack'
  ),
  cable('star-quad', 'star quad|starquad|quad cable'),
  cable(
    'rca',
    'rca|rca lead|rca cable|phono plug|phono plugs|phono lead|cinch|rca plugs|phonos|cinchkabel|rca leads|rcas'
  ),
  cable(
    'mini',
    'xlr to minijack|3.5 mm stereo to mono jack|3.5 stereo to mono jack|3.5 mm stereo to mono jack lead|3.5 stereo to mono jack lead|stereo minijack to mono jack|stereo minijack to mono jack lead|3.5 mm to mono jack|minijack to mono jack|minijack to mono jack lead|minijack to jack|3.5 to jack|3.5 mm to jack|minijack to jack lead|xlr to minijack lead|xlr to 3.5|xlr to 3.5 lead|xlr to mini jack|minijack to xlr|stereo minijack to xlr|stereo minijack to xlr cable|stereo minijack to xlr lead|stereo minijack to one xlr|minijack to one xlr|minijack to single xlr|minijack to xlr lead|minijack to xlr cable|rca to minijack|rca to minijack lead|rca to 3.5|minijack to rca|3.5 to rca|minijack to rca lead|minijack to rca cable|minijack to two rca|minijack to two rca lead|minijack to twin rca|minijack to dual rca|minijack to 2 rca|3.5 to two rca|3.5 mm to two rca|3.5 to 2 rca|stereo minijack to two rca|stereo minijack to rca|minijack to phono lead|minijack to two phono|minijack to stereo jack|minijack to stereo jack lead|minijack to trs|minijack to trs lead|3.5 to trs|3.5 trs to 6.35 trs|stereo minijack to stereo jack|stereo minijack to two mono jacks|minijack to two jacks|minijack to two mono jacks|minijack to twin jacks|stereo minijack to two jacks|3.5 to two jacks|3.5 mm to two jacks|minijack to dual jack|minijack to two xlr|3.5 to two xlr|minijack to twin xlr|minijack|mini jack|3.5|3.5 mm|3.5mm|3.5 ts|3.5 trs|3.5 mm jack|minijack lead|stereo minijack|stereo minijack lead|mini jack lead|3.5 to twin jack|3.5 to twin jack lead|minijack to twin jack|minijack to twin jack lead|klinke 3.5|jack 3.5|3.5 jack|minijack to 2 jacks|3.5 stereo|small jack|mini klinke|miniklinke|minijack cable|3.5 mm stereo|stereo lead|y lead minijack'
  ),
  cable(
    'speaker',
    'bell wire|twin bell wire|twin flex|zip cord|twin core|speaker cable|speaker lead|speaker wire|speaker line|lautsprecherkabel|loudspeaker cable|speaker cables'
  ),
  // Sides and counts
  [
    { is: 'sides' },
    'stereo|pair|stereo pair|estereo|en stereo|stereofonico|in stereo|left and right|left right|matched pair|spaced pair|xy pair|ortf pair|xy|ortf'
  ],
  [
    { is: 'mono' },
    'left side|right side|left output|right output|left line output|right line output|left out|right out|left channel|right channel|left leg|right leg|left hand output|right hand output|one side|one channel|mono|single|left only|l only|right only|r only|mono sum|mono only|summed'
  ],
  [{ is: 'click' }, '+ click|+ clk|and click|plus click|plus clk|& click|& clk'],
  [
    { is: 'channel' },
    'ch|chan|channel|chnl|chs|chans|channels|kanal|kanaal|canal|ch no|channel no|inputs|input|in|desk channel|desk ch|desk channels|kan|canale|canali|voie|voies|kanaal nr|canales|channel strip|chn|cnl'
  ],
  [{ is: 'count', count: 2 }, 'two|zwei|twee|due|dois|duas|deux|dos|tva|both|twin|couple of|2 off|duo'],
  [{ is: 'count', count: 3 }, 'three|drei|drie|tre|tres|trois|trio|3 off|lcr|l c r'],
  [{ is: 'count', count: 4 }, 'four|vier|quatre|quattro|fyra|quartet|4 off'],
  [{ is: 'count', count: 5 }, 'five'],
  [{ is: 'count', count: 6 }, 'six'],
  // Qualities
  [
    { is: 'quality', quality: 'active' },
    'active|aktiv|actif|actieve|act|battery powered preamp|attiva|attivo|activa|activo|aktive|aktiver|aktives|active electronics on'
  ],
  [
    { is: 'quality', quality: 'passive' },
    'passive|passiv|passif|passieve|pass|pas|passiva|passivo|pasiva|pasivo|passiver|passives'
  ],
  [
    { is: 'quality', quality: 'balanced' },
    'balanced|bal|electronically balanced|electronically balanced output|electronically balanced outputs|servo balanced output|balanced out|balanced outs|balanced xlr out|balanced xlr outs|trs balanced outs|symmetrical|balanced output|impedance balanced|balanced outputs'
  ],
  [{ is: 'mode', mode: 'active' }, 'active mode|in active mode|mode active|switched active'],
  [{ is: 'mode', mode: 'passive' }, 'passive mode|in passive mode|mode passive|switched passive'],
  [
    { is: 'topology', topology: 'transformer' },
    'transformer output|transformer balanced output|transformer coupled output|transformer balanced|transformer isolated output stage|output transformer'
  ],
  [
    { is: 'topology', topology: 'cross-coupled' },
    'cross coupled output|cross coupled|cross coupled balanced output|servo balanced output|servo balanced|floating balanced output'
  ],
  // Stands and notes
  [
    { is: 'note' },
    'short boom|tall boom|boom|boom stand|short|tall|tall stand|short stand|straight|straight stand|round base|round base stand|round base straight|clip|no stand|stand|no clip|small boom|big boom|mini boom|table stand|desk stand|low boom|high boom|low stand|sandbag|fixed|spare|drum clip|claw|clamp|rim clip|galgen|gr. stativ|kl. stativ|stativ|own stand|rim mount|handheld|h h|stereo bar|bar|mic bar|on a bar|control room|at the desk|house left|house right|runner|stage left|stage right|sr|sl|usl|usr|usc|dsl|dsr|dsc|msl|msr|csl|csr|us|ds|ours|theirs|house|provided|own|we bring|festival|local|backline'
  ],
  // What only joins the others together
  [
    { is: 'filler' },
    'phantom module|off axis|share|shares|sharing|shared|iso booth|isolation booth|hardware|overhead projector|internal|buzzes|buzzing|hums|same player|on axis|direct leg of a splitter|direct leg of the splitter|direct side of a splitter|direct side of the splitter|direct output of a splitter|direct output of the splitter|direct leg of the split|direct side of the split|direct split|direct leg|direct side|straight to|power module|xlr power module|phantom power module|phantom adapter|phantom adaptor|phantom power adapter|phantom power adaptor|xlr phantom adapter|true bypass|load mode|in load mode|in parallel|parallel|paralleled|without trim|no trim|max|maximum|too|as well|also|dongle|set|set to|for recording|recording|recorded|across|away|straight in|hard wired|hardwired|hung|hanging|flown|suspended|volume pedal|vol pedal|compressor pedal|comp pedal|compression pedal|overdrive pedal|drive pedal|distortion pedal|fuzz pedal|boost pedal|wah pedal|eq pedal|tremolo pedal|chorus pedal|delay pedal|reverb pedal|expression pedal|effects pedal|octave pedal|in foh rack|in the foh rack|in rack|in the rack|in a rack|foh rack|cord|cords|curly|coiled|curly cable|coiled cable|jacked|please|straight out|straight from|pedals|fx pedals|effect pedals|stomp boxes|need|needs|get|got|want|wants|would like|has to|have to|must|player|players|any problem|by mistake|no idea|if|own|combined|needed|plus|both on|both on the|both of them|both devices|both ends|both units|both fed|both powered|both plugged|was|were|had|been|made|so|but|because|tapped|battery|batteries|its own|one|bridged|bridge mode|in bridge mode|bridged mode|bridged mono|bridge mono|fine|good|okay|tuner|tuner pedal|two pin|2 pin|three pin|3 pin|two pin charger|half volume|half|domestic|fresh|fresh battery|fresh batteries|own battery|its battery|running|running on|charger|its charger|full volume|full|volume|side|connected|unconnected|disconnected|same mains socket|same mains circuit|same circuit|same socket|same outlet|same mains|mains plug|earthed mains plug|with earthed mains plug|average|averaging|switched|being|while live|being patched|while|player|singing|front of house desk|front of house|unbalanced|metal|touching|maximum gain|maximum|switched to mic level|mic level|line level|wired|tip hot|ring cold|tip hot ring cold|whose|which|only one|and|then|into|to|with|w|a|an|the|of|from|via|through|over|on|off|off the|for|per|each|at|by|is|goes|it|its|our|my|go|straight|straight into|direct|directly|out|outs|output|outputs|pickup|pickups|pick up|pu|pup|pups|plug|plugs|cable|cables|lead|leads|run|cable run|leg|microphone|mic|mics|mikro|mikrofon|micro|mik|micd|mic d|miked|close mic|source|sources|level|line|line level|mic level|power|socket|sockets|in front|front|inside|feed|send|no|using|use|unit|rack|box|please|about|approx|ca|passive output|output stage|old|bit of|long|which|that|und|mit|zu|in den|auf|der|die|das|naar|met|et|avec|vers|le|la|au|from the|xlr out|xlr outs|jack out|jack outs|rx xlr out|trs out|trs outs|ts out|xlr output|jack output|3.5 out|rca out|rca outs|left|right|hi|lo|dessus|dessous|oben|unten|sopra|sotto|arriba|abajo|top|bottom|btm|mid|outer|inner|full range|signal|inputs on|instrument|acoustic instrument|usual|standard|normal|wired|wide|main|mains|of mixer|of desk|of the desk|of powered speaker|of monitor controller|of hi fi amp|of domestic amp|of interface|on interface|foh|monitor desk|monitor|mon|truck|pit|church|studio|stage|deck|home|school|theatre|youth band|band|venue|hall|house band|receiver out|sender|female|male|gnd|ground|earth|link|thru|and then|later|as|well|also|type|kind|model|string|strings of|onto|between|under|behind|above|near|next|per channel|chan each|mk|extra|same|con|per|para|de|del|della|dal|al|aan|op|vom|von|ins|uber|dans|sur|depuis|salida|uscita|sortie|ausgang|eingang|entrada|ingresso|entree|uitgang|ingang|kabel|cavo|cavi|cable de|e|y|un|una|une|ein|eine|een|plugged into|plugged|going to|goes to|taken|taken from|coming from|comes from|comes on|arrives on|patched to|patched into|patched|landing on|lands on|on to|off to|feeding|feeds|fed|gets|has|have|he|she|they|we|uses|uses a|brings|on stage|onstage|upstage|downstage|upstage left|upstage right|downstage left|downstage right|first|second|third|main one|tbc|tba|if poss|if possible|preferably|pref|ideally|maybe|any|some|good|nice|simple|short lead|long lead|stays|already|same as above|dry|clean|wet|post|pre eq|post eq|post fader|pre fader'
  ]
];

/**
 * What the screens call things, as far as it is not said like that anyway: each reads back as what it labels. With a comma in it the whole of it has to stand there.
 */
export const LABELS: readonly (readonly [Sense, string])[] = [
  source('hi-z-mic', 62, 'high impedance microphone'),
  source('electric-piano', 60, 'el. piano, passive|passive electric piano'),
  source('acoustic-preamp', 60, 'acoustic instrument with preamp|acoustic, preamp'),
  source('line-unbalanced', 50, 'unbalanced line output|line, unbalanced|unbalanced line'),
  source(
    'line-impedance-balanced',
    50,
    'impedance balanced line output|line, half-driven|line, z-balanced|z-balanced line|impedance balanced line|balanced keyboard'
  ),
  source('line-hot', 50, 'hot line output|line, hot|hot line'),
  source('consumer-player', 50, 'consumer line output|player, rca'),
  source('line-balanced', 50, 'line, balanced|professional line output'),
  source('bass-amp-out', 72, "bass amp's direct output|bass amp out"),
  source('lavalier', 60, 'clip on electret'),
  source('valve-amp', 74, "valve amplifier's speaker output"),
  source('turntable', 60, 'turntable cartridge'),
  di('passive-di-economy', 'passive, economy|economy passive di'),
  di('active-di-10m', 'active di 10m|active di, 10 mω|active di 10 mω'),
  di('active-di', 'active di, 1 mω|active di 1 mω'),
  di('media-di-stereo', 'passive media di, stereo|media di, stereo'),
  di('media-di', 'passive media di, stereo to mono'),
  di('speaker-di', 'speaker level di'),
  di('preamp-di', 'preamp di with tone controls'),
  box('reversed-di', 'passive di used backwards|di, reversed'),
  box('converter-down', 'converter to consumer level|converter, down'),
  box('converter-up', 'converter to professional level|converter, up'),
  box('merge-box', 'merge box, stereo to mono'),
  box('balun', 'balun for a twisted pair'),
  box('coupler', 'jack coupler|coupler'),
  box('mini-to-jack', '3.5 mm to jack|3.5 to jack adapter|3.5 mm to jack adapter'),
  box('jack-to-mini', 'jack to 3.5 mm|jack to 3.5 mm adapter'),
  box('xlr-to-jack', 'xlr to balanced jack adapter'),
  box('xlr-to-jack-grounded', 'xlr-to-jack adapter, pin 3 grounded|xlr–jack, 3 gnd|grounded xlr to jack adapter'),
  box('xlr-to-jack-open', 'xlr-to-jack adapter, pin 3 open|xlr–jack, 3 open|open xlr to jack adapter'),
  box('xlr-to-rca-grounded', 'xlr-to-rca adapter, pin 3 grounded|xlr–rca, 3 gnd|grounded xlr to rca adapter'),
  box('xlr-to-rca-open', 'xlr-to-rca adapter, pin 3 open|xlr–rca, 3 open|open xlr to rca adapter'),
  box(
    'plain-y',
    'plain y, left and right twisted together|plain y|joined by a y adapter|joined by a y lead|y lead that joins left and right|y lead that joins|joined in a y lead|joined at the plug|joining tip and ring|tip and ring joined|tip and ring tied together|tip and ring tied|tip and ring shorted|tip ring joined|tip and ring bridged|joins tip and ring|left and right joined|left and right tied together|left and right shorted|left and right bridged|l r joined|l and r joined|joining left and right|joining l and r|bridging tip and ring|both channels twisted together|left and right twisted together'
  ),
  box('y-jack', 'jack y lead, one output to two inputs|jack y'),
  box('y-xlr', 'xlr y lead, one output to two inputs|xlr y'),
  box('y-rca', 'rca y lead, one output to two inputs|rca y'),
  box('y-mini', '3.5 mm y lead, one output to two inputs|3.5 mm y'),
  box('y-speaker', 'speaker-cable y, one output to two loads|speaker y'),
  input('consumer-in', 'consumer line input|line, rca'),
  input('aux-in', 'aux input without a trim|aux, no trim'),
  input('phono-in', 'phono'),
  input('camera-in', "camera's microphone input"),
  input('load-resistor', 'plain resistor|resistor'),
  [{ is: 'amp', model: 'cabinet' }, 'loudspeaker cabinet']
];
