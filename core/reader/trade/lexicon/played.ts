import { instrument, type Row } from './sense';

/** What is played: strings, keys, drums, winds, voices, and what plays back. */
export const PLAYED: readonly Row[] = [
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
    'acoustic guitar|acoustic gtr|gtr ac|gtr acoustic|guitar acoustic|gtr acous|git ak|ac gtr|ac guitar|a gtr|agtr|ag|acoustic|ac|a git|akustikgitarre|westerngitarre|western guitar|12 string|twelve string|nylon|nylon string|nylon string guitar|steel string guitar|steel string acoustic|nylon guitar|nylon gtr|classical guitar|cl gtr|cl guitar|class gtr|clsc gtr|spanish guitar|konzertgitarre|flamenco guitar|resonator|ukulele|uke|baritone uke|bari uke|tenor uke|soprano uke|concert uke|baritone ukulele|bari ukulele|tenor ukulele|soprano ukulele|concert ukulele|ukelele|lute|oud|steel string|acc|acc gtr|acc guitar|acou|acou gtr|acous|acous gtr|acous guitar|acst gtr|aco gtr|chitarra acustica|guitarra acustica|guitare acoustique|guitare folk|guitare seche|akustische gitarre|akoestische gitaar|guitarra espanola|guitarra clasica|chitarra classica|gitarre akustisch|dreadnought|parlour guitar|jumbo acoustic|steel string|ac guit|acoustic guit|acoustic 6 string|cuatro|charango|balalaika|theorbo|vihuela|guitalele|banjitar',
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
    'violin|fiddle|fid|geige|violine|viool|violon|vln|vn|vlns|electric violin|strings|string section',
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
    'harmonium|accordion|fisarmonica|akkordeon|dragspel|trekkspill|acordeon|accordeon|squeezebox|concertina|melodeon|melodica|bandoneon',
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
    'electronic drum kit|electric drum kit|batterie electronique|bateria electronica|batteria elettronica|e schlagzeug|elektronisches schlagzeug|elektronische drums|elektronisch drumstel|pad|multi pad|trigger pad|pad module|drum pads|electronic kit|electric drums|digital drums|e drum brain|e kit brain|e drums|edrums|e drum|electronic drums|drum electronics|e kit|e drum module|drum module|drum brain|drum machine|drum computer|drumcomputer|drum pad|drum trigger|trigger module|sample pad|sampling pad|kick trigger|kick drum trigger|snare trigger|drum triggers|triggers|drum sampler|drum synth|perc synth|percussion synth|sampler pad|sampler pads|trigger pads|pads drummer|multi pads|drum sample pad|perc pad|perc sample pad|percussion pad|sample pads|electronic kit|beatbox machine'
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
    'caja|virvel|virveltrumma|kleine trommel|rullante|caja clara|snare|sn|snr|snare top|snare bottom|snare btm|snare bot|sn top|sn bot|sn btm|sd|snare drum|snare up|snare dn|snare under|caisse claire|side drum|rim|rullante|redoblante|kleine trommel|snare wires|snr top|snr btm|snr bot|snr bottom|snare t|snare b|sn t|sn b',
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
    'oh|ohs|aereos|panoramici|overhead|overheads|over head|hi hat|hihat|hat|hats|hh|ride|cymbals|cymbal|crash|drum room|drum rooms|room mic|rooms|drum overheads|perc oh|overhead drums|hat mic|underheads',
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
    'percussion|perc|repique|repinique|caixa|pandeiro|tamborim|agogo|cuica|zabumba|dhol|dholak|doumbek|dumbek|tombak|daf|riq|conga|congas|bongo|bongos|cajon|cahon|djembe|darbuka|timbales|tabla|tabla hi|tabla lo|udu|surdo|bodhran|tambourine|shaker|shakers|toys|cowbell|woodblock|frame drum|bata|guiro|triangle|wind chimes|chimes|marimba|vibes|vibraphone|xylophone|glock|glockenspiel|tubular bells|steel pan|steelpan|steelpans|steel drums|steel pans|steel drum|handpan|kalimba|mbira|thumb piano|tongue drum|singing bowl|singing bowls|jaw harp|cabasa|temple blocks|washboard|hang drum|bells|taiko|dhol',
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
    'speech|pupitre|invite|comms mic|comms microphone|intercom mic|shout mic|talkback mic|talkback|talk back|tb|tb mic|commentator|commentary|presenter|host|hosts|compere|announcer|announce|announcement|voice over|voiceover|vo|narrator|narration|reader|readings|lectern|lectern a|lectern b|podium|pulpit|prayer|prayers|sermon|pastor|preacher|priest|minister|rabbi|imam|vicar|celebrant|speaker mic|speaker at lectern|interview|interviewer|interviewee|guest|podcast|podcast guest|podcast host|panel|panellist|panelist|panels|moderator|chair|chairman|chairperson|delegate|delegates|conference|keynote|q&a|q and a|qa|audience q|mc mic|emcee|auctioneer|lav mic|actor|actors|cast|narr|director|stage manager|sm talkback|show caller|caller|interpreter|translator|newsreader|news desk|ponente|orador|relatore|oratore|orateur|animateur|redner|rednerpult|leseplatz|ambo|altar|altar mic|communion table|mayor|speaker at the lectern|anchor|god mic|vog|quizmaster|toast|bride|groom|officiant|judge|witness|lecturer|teacher|professor|sprecher|moderation|spreker|presentator|radio play',
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
    'zuspieler|zuspielung|samples|sample playback|stings|sfx|sound effects|einspieler|einspielung|playback laptop|playback computer|tracks|trax|trks|trx|trk|track|di track|di tracks|di signal|di recording|dry di|backing track|backing tracks|click|clk|click track|metronome|stems|playback|pb|play back|cue|sfx|fx|fx playback|effects|sound effects|spot fx|vt|vts|vt playback|video|video sound|video playback|video audio|stream|stream return|return|programme|program|pgm|prog|show relay|relay|music|walk in music|walk in|walk out music|break music|foyer music|interval music|house music|bgm|background music|theatre fx|sting|stings|intro|outro|jingle|jingles|soundscape|sequencer|seq|computer|comp|daw|mix|check mix|ref track|reference track|reference|dj'
  )
];
