<?xml version="1.0" encoding="utf-8"?>
<!DOCTYPE TS>
<TS version="2.1" language="it_IT" sourcelanguage="en">
<context>
    <name>AskDialog</name>
    <message>
        <source>length</source>
        <translation>lunghezza</translation>
    </message>
    <message>
        <source>lean from the vertical, + to the right</source>
        <translation>inclinazione dalla verticale, + verso destra</translation>
    </message>
    <message>
        <source>tilt from the level, + rises to the right</source>
        <translation>pendenza dall&apos;orizzontale, + se sale a destra</translation>
    </message>
    <message>
        <source>angle at the second point</source>
        <translation>angolo nel secondo punto</translation>
    </message>
    <message>
        <source>first length over second</source>
        <translation>prima lunghezza sulla seconda</translation>
    </message>
    <message>
        <source>angle between the two lines</source>
        <translation>angolo fra le due linee</translation>
    </message>
    <message>
        <source>way of the first point</source>
        <translation>percorso del primo punto</translation>
    </message>
    <message>
        <source>its mean speed</source>
        <translation>la sua velocità media</translation>
    </message>
    <message>
        <source>turn of the line</source>
        <translation>rotazione della linea</translation>
    </message>
    <message>
        <source>time between the frames</source>
        <translation>tempo fra i fotogrammi</translation>
    </message>
    <message>
        <source>distance of the third from the line through the others, + above it</source>
        <translation>distanza del terzo dalla linea per gli altri, + se sopra</translation>
    </message>
    <message>
        <source>cycles a minute</source>
        <translation>cicli al minuto</translation>
    </message>
    <message>
        <source>turn about the line: 90° = the third point as far out as on the first frame</source>
        <translation>rotazione intorno alla linea: 90° = il terzo punto tanto in fuori quanto nel primo fotogramma</translation>
    </message>
</context>
<context>
    <name>KeySheet</name>
    <message>
        <source>Everywhere</source>
        <translation>Ovunque</translation>
    </message>
</context>
<context>
    <name>MeasureDrawing</name>
    <message>
        <source>Angle at a joint</source>
        <translation>Angolo in un&apos;articolazione</translation>
    </message>
    <message>
        <source>Lean</source>
        <translation>Inclinazione</translation>
    </message>
    <message>
        <source>Ratio of lengths</source>
        <translation>Rapporto di lunghezze</translation>
    </message>
    <message>
        <source>Offset</source>
        <translation>Scostamento</translation>
    </message>
    <message>
        <source>Time between</source>
        <translation>Tempo fra due</translation>
    </message>
    <message>
        <source>Who leads</source>
        <translation>Chi precede</translation>
    </message>
    <message>
        <source>Between two segments</source>
        <translation>Fra due segmenti</translation>
    </message>
    <message>
        <source>Hand of a clock</source>
        <translation>Lancetta d&apos;orologio</translation>
    </message>
    <message>
        <source>Stacked</source>
        <translation>Impilati</translation>
    </message>
    <message>
        <source>Turn</source>
        <translation>Rotazione</translation>
    </message>
    <message>
        <source>Tilt</source>
        <translation>Pendenza</translation>
    </message>
    <message>
        <source>Speed</source>
        <translation>Velocità</translation>
    </message>
    <message>
        <source>Path</source>
        <translation>Percorso</translation>
    </message>
    <message>
        <source>Stillness</source>
        <translation>Quiete</translation>
    </message>
    <message>
        <source>Pause</source>
        <translation>Pausa</translation>
    </message>
    <message>
        <source>Cadence</source>
        <translation>Cadenza</translation>
    </message>
    <message>
        <source>Overlap</source>
        <translation>Sovrapposizione</translation>
    </message>
    <message>
        <source>Chain</source>
        <translation>Catena</translation>
    </message>
    <message>
        <source>Smoothness</source>
        <translation>Fluidità</translation>
    </message>
    <message>
        <source>Contacts</source>
        <translation>Appoggi</translation>
    </message>
    <message>
        <source>Recovery</source>
        <translation>Ritorno</translation>
    </message>
    <message>
        <source>Left and right</source>
        <translation>Destra e sinistra</translation>
    </message>
    <message>
        <source>Spread</source>
        <translation>Dispersione</translation>
    </message>
    <message>
        <source>Drift</source>
        <translation>Deriva</translation>
    </message>
    <message>
        <source>Gap</source>
        <translation>Distanza fra due</translation>
    </message>
    <message>
        <source>Facing</source>
        <translation>Orientamento</translation>
    </message>
    <message>
        <source>Seen by eye</source>
        <translation>Visto a occhio</translation>
    </message>
    <message>
        <source>Did it work</source>
        <translation>Ha funzionato</translation>
    </message>
    <message>
        <source>Right choice</source>
        <translation>Scelta giusta</translation>
    </message>
    <message>
        <source>Swing</source>
        <translation>Oscillazione</translation>
    </message>
    <message>
        <source>How far a joint is bent or open.</source>
        <translation>Quanto un&apos;articolazione è piegata o aperta.</translation>
    </message>
    <message>
        <source>A segment against the vertical.</source>
        <translation>Un segmento rispetto alla verticale.</translation>
    </message>
    <message>
        <source>One distance in lengths of another.</source>
        <translation>Una distanza misurata con un&apos;altra.</translation>
    </message>
    <message>
        <source>How far one point is from another in one direction.</source>
        <translation>Quanto un punto dista da un altro in una direzione.</translation>
    </message>
    <message>
        <source>From one key position to another, on the real clock.</source>
        <translation>Da una posizione chiave a un&apos;altra, sull&apos;orologio vero.</translation>
    </message>
    <message>
        <source>Which of two points is ahead, and by how much.</source>
        <translation>Quale di due punti precede, e di quanto.</translation>
    </message>
    <message>
        <source>Two segments against one another.</source>
        <translation>Due segmenti l&apos;uno rispetto all&apos;altro.</translation>
    </message>
    <message>
        <source>A direction read like a clock face.</source>
        <translation>Una direzione letta come sul quadrante.</translation>
    </message>
    <message>
        <source>Whether points stand over their support.</source>
        <translation>Se i punti stanno sopra il loro appoggio.</translation>
    </message>
    <message>
        <source>How far shoulders or hips are turned, by their narrowing.</source>
        <translation>Quanto sono ruotate spalle o anche, da quanto si stringono.</translation>
    </message>
    <message>
        <source>A left-right line against the horizontal.</source>
        <translation>Una linea destra-sinistra rispetto all&apos;orizzontale.</translation>
    </message>
    <message>
        <source>How fast a point moves; its peak; what is left at contact.</source>
        <translation>Quanto veloce si muove un punto; il suo picco; che cosa ne resta al contatto.</translation>
    </message>
    <message>
        <source>Length, straightness and detours of a way.</source>
        <translation>Lunghezza, linearità e deviazioni di un percorso.</translation>
    </message>
    <message>
        <source>How far a point wanders while it should rest.</source>
        <translation>Quanto un punto vaga mentre dovrebbe stare fermo.</translation>
    </message>
    <message>
        <source>How long a point stays slower than a level.</source>
        <translation>Per quanto un punto resta più lento di un livello.</translation>
    </message>
    <message>
        <source>Cycles a minute, distance a cycle, and their product.</source>
        <translation>Cicli al minuto, distanza per ciclo, e il loro prodotto.</translation>
    </message>
    <message>
        <source>How left and right share the cycle; how near hands come.</source>
        <translation>Come destra e sinistra si dividono il ciclo; quanto si avvicinano le mani.</translation>
    </message>
    <message>
        <source>Order, lags and braking of the parts&apos; speed peaks.</source>
        <translation>Ordine, ritardi e frenata dei picchi di velocità delle parti.</translation>
    </message>
    <message>
        <source>One swing or a halting one.</source>
        <translation>Un gesto solo o uno a scatti.</translation>
    </message>
    <message>
        <source>Landings, which foot first, one foot or two.</source>
        <translation>Arrivi a terra, quale piede prima, uno o due.</translation>
    </message>
    <message>
        <source>How long, or how many steps, until it is back.</source>
        <translation>Quanto tempo, o quanti passi, prima che torni.</translation>
    </message>
    <message>
        <source>One side against the other, which is the reference.</source>
        <translation>Un lato rispetto all&apos;altro, che fa da riferimento.</translation>
    </message>
    <message>
        <source>How much the athlete varies, without marking errors.</source>
        <translation>Quanto varia l&apos;atleta, tolti gli errori di marcatura.</translation>
    </message>
    <message>
        <source>Change from the first rep to the last.</source>
        <translation>Cambiamento dalla prima ripetizione all&apos;ultima.</translation>
    </message>
    <message>
        <source>How far two people are apart.</source>
        <translation>Quanto sono lontane due persone.</translation>
    </message>
    <message>
        <source>How squarely one faces another.</source>
        <translation>Quanto in pieno uno fronteggia l&apos;altro.</translation>
    </message>
    <message>
        <source>A checkpoint judged on the frame: yes, partly, no.</source>
        <translation>Un punto di controllo giudicato sul fotogramma: sì, in parte, no.</translation>
    </message>
    <message>
        <source>Whether the rep did its work.</source>
        <translation>Se la ripetizione ha fatto il suo lavoro.</translation>
    </message>
    <message>
        <source>Whether it was right for the situation.</source>
        <translation>Se era giusta per la situazione.</translation>
    </message>
    <message>
        <source>How far an end travels round the body: way, share of a full turn.</source>
        <translation>Quanto un&apos;estremità viaggia attorno al corpo: percorso, parte di un giro intero.</translation>
    </message>
    <message>
        <source>Twist</source>
        <translation>Torsione</translation>
    </message>
    <message>
        <source>Between two</source>
        <translation>Fra due</translation>
    </message>
    <message>
        <source>Turn of a limb or an implement about its own long axis, or how fast it turns.</source>
        <translation>Rotazione di un arto o di un attrezzo attorno al proprio asse lungo, o quanto in fretta ruota.</translation>
    </message>
    <message>
        <source>Where a point lies between two others: share of the way, or how far off it.</source>
        <translation>Dove sta un punto fra altri due: quota del tragitto, o quanto se ne scosta.</translation>
    </message>
</context>
<context>
    <name>Path</name>
    <message>
        <source>Brief</source>
        <translation>Incontro</translation>
    </message>
    <message>
        <source>Footage</source>
        <translation>Filmati</translation>
    </message>
    <message>
        <source>Marking</source>
        <translation>Marcatura</translation>
    </message>
    <message>
        <source>Mirror</source>
        <translation>Specchio</translation>
    </message>
    <message>
        <source>Findings</source>
        <translation>Rilievi</translation>
    </message>
    <message>
        <source>Programme</source>
        <translation>Programma</translation>
    </message>
    <message>
        <source>Practice</source>
        <translation>Pratica</translation>
    </message>
    <message>
        <source>Progress</source>
        <translation>Progressi</translation>
    </message>
    <message>
        <source>Handover</source>
        <translation>Consegna</translation>
    </message>
</context>
<context>
    <name>QObject</name>
    <message>
        <source>Take away</source>
        <translation>Da portare a casa</translation>
    </message>
    <message>
        <source>Take away: %1</source>
        <translation>Da portare a casa: %1</translation>
    </message>
</context>
<context>
    <name>ReviewPanel</name>
    <message>
        <source>Good</source>
        <translation>Bene</translation>
    </message>
    <message>
        <source>Cause</source>
        <translation>Causa</translation>
    </message>
    <message>
        <source>Goes with it</source>
        <translation>Va con essa</translation>
    </message>
    <message>
        <source>To do</source>
        <translation>Da fare</translation>
    </message>
    <message>
        <source>Said</source>
        <translation>Detto</translation>
    </message>
    <message>
        <source>Your own</source>
        <translation>Tuo</translation>
    </message>
</context>
<context>
    <name>advice</name>
    <message>
        <source>from the side</source>
        <translation>di lato</translation>
    </message>
    <message>
        <source>from the front</source>
        <translation>di fronte</translation>
    </message>
    <message>
        <source>from behind</source>
        <translation>da dietro</translation>
    </message>
    <message>
        <source>from above</source>
        <translation>dall&apos;alto</translation>
    </message>
    <message>
        <source>from below</source>
        <translation>dal basso</translation>
    </message>
    <message>
        <source>it rests on a draft: correct the points it reads, where Marking asks for them</source>
        <translation>poggia su una bozza: correggi i punti che legge, dove la Marcatura li chiede</translation>
    </message>
    <message>
        <source>it lies at the very edge of the band; treat it as just good enough</source>
        <translation>sta proprio sul bordo della fascia; consideralo appena sufficiente</translation>
    </message>
    <message>
        <source>this film is too slow to judge it: film at %1 Hz or more</source>
        <translation>questo filmato è troppo lento per giudicarla: filma a %1 Hz o più</translation>
    </message>
    <message>
        <source>this film is too slow to judge it: film at a higher capture rate</source>
        <translation>questo filmato è troppo lento per giudicarla: filma a una frequenza più alta</translation>
    </message>
    <message>
        <source>mark its points again with more care, or the frames beside them too</source>
        <translation>marca di nuovo i suoi punti con più cura, o anche i fotogrammi accanto</translation>
    </message>
    <message>
        <source>mark more reps: about %1 in all would decide it</source>
        <translation>marca altre ripetizioni: circa %1 in tutto la deciderebbero</translation>
    </message>
    <message>
        <source>no rep is marked</source>
        <translation>nessuna ripetizione è marcata</translation>
    </message>
    <message>
        <source>the measure that it is read of is not known</source>
        <translation>la misura da cui si legge non è nota</translation>
    </message>
    <message>
        <source>needs three reps or more</source>
        <translation>servono almeno tre ripetizioni</translation>
    </message>
    <message>
        <source>the reps are all of one time</source>
        <translation>le ripetizioni sono tutte dello stesso momento</translation>
    </message>
    <message>
        <source>the model has no value for it (%1)</source>
        <translation>il modello non ha un valore per essa (%1)</translation>
    </message>
    <message>
        <source>no target for this school</source>
        <translation>nessun obiettivo per questa scuola</translation>
    </message>
    <message>
        <source>film it %1</source>
        <translation>filmala %1</translation>
    </message>
    <message>
        <source>the film of this rep has no length</source>
        <translation>il filmato di questa ripetizione non ha durata</translation>
    </message>
    <message>
        <source>no rep can be seen on it</source>
        <translation>non vi si vede nessuna ripetizione</translation>
    </message>
</context>
<context>
    <name>ask</name>
    <message>
        <source>these points give no number</source>
        <translation>questi punti non danno un numero</translation>
    </message>
    <message>
        <source>the points are %1 px apart, which with ± %2 px a point gives no direction</source>
        <translation>i punti distano %1 px, e con ± %2 px a punto non danno una direzione</translation>
    </message>
    <message>
        <source>the capture rate is not known, so no time can be told</source>
        <translation>la frequenza di ripresa non è nota, perciò non si può dire nessun tempo</translation>
    </message>
    <message>
        <source>both are one frame</source>
        <translation>sono lo stesso fotogramma</translation>
    </message>
    <message>
        <source>on the first frame the third point must lie well beside the line through the others: choose one where the edge is seen as far out as it can be</source>
        <translation>nel primo fotogramma il terzo punto deve stare ben di lato alla linea degli altri due: scegline uno in cui il bordo si vede più in fuori che può</translation>
    </message>
    <message>
        <source>the edge lies further out than on the first frame: ask from this frame to that one</source>
        <translation>il bordo sta più in fuori che nel primo fotogramma: fai la domanda da questo fotogramma a quello</translation>
    </message>
</context>
<context>
    <name>body</name>
    <message>
        <source>Grown %1 cm since %2: films from before show another body. Lengths in its own segments still hold; metres and habits change.</source>
        <translation>Cresciuto di %1 cm dal %2: i filmati di prima mostrano un altro corpo. Le lunghezze nei suoi segmenti valgono ancora; metri e abitudini cambiano.</translation>
    </message>
    <message>
        <source>, since %1</source>
        <translation>, dal %1</translation>
    </message>
    <message>
        <source>, hurts now</source>
        <translation>, fa male adesso</translation>
    </message>
</context>
<context>
    <name>bundle</name>
    <message>
        <source>%1 takes in the file, %2 here</source>
        <translation>%1 riprese nel file, %2 qui</translation>
    </message>
    <message>
        <source>%1 reps in the file, %2 here</source>
        <translation>%1 ripetizioni nel file, %2 qui</translation>
    </message>
    <message>
        <source>%1 marks in the file, %2 here</source>
        <translation>%1 segni nel file, %2 qui</translation>
    </message>
    <message>
        <source>%1 blocks of practice in the file, %2 here</source>
        <translation>%1 blocchi di pratica nel file, %2 qui</translation>
    </message>
    <message>
        <source>%1 decisions in the file, %2 here</source>
        <translation>%1 decisioni nel file, %2 qui</translation>
    </message>
    <message>
        <source>%1 notes on frames in the file, %2 here</source>
        <translation>%1 note sui fotogrammi nel file, %2 qui</translation>
    </message>
    <message>
        <source>newer films in the file</source>
        <translation>filmati più recenti nel file</translation>
    </message>
    <message>
        <source>newer films here</source>
        <translation>filmati più recenti qui</translation>
    </message>
    <message>
        <source>as much on both sides, and not the same</source>
        <translation>altrettanto da entrambe le parti, ma non uguale</translation>
    </message>
</context>
<context>
    <name>calendar</name>
    <message>
        <source>Cue: %1</source>
        <translation>Richiamo: %1</translation>
    </message>
    <message>
        <source>%1 x %2, %3 min</source>
        <translation>%1 x %2, %3 min</translation>
    </message>
    <message>
        <source>Caution: %1</source>
        <translation>Attenzione: %1</translation>
    </message>
    <message>
        <source>%1 (at home), %2 min</source>
        <translation>%1 (a casa), %2 min</translation>
    </message>
    <message>
        <source>%1, %2 min</source>
        <translation>%1, %2 min</translation>
    </message>
</context>
<context>
    <name>calibration</name>
    <message>
        <source>the known lengths disagree by %1 %: the camera is not square to the plane, or one of them is not in it</source>
        <translation>le lunghezze note differiscono del %1 %: la telecamera non è perpendicolare al piano, oppure una di esse non vi giace</translation>
    </message>
    <message>
        <source>the lens bends the picture by %1 % at its corners; this is taken out</source>
        <translation>l&apos;obiettivo curva l&apos;immagine del %1 % agli angoli; viene corretto</translation>
    </message>
    <message>
        <source>the camera looks at the plane %1° out of square; without these points lengths would be wrong by up to %2 % and leans by up to %3°</source>
        <translation>la telecamera guarda il piano con uno scarto di %1° dalla perpendicolare; senza questi punti le lunghezze sbaglierebbero fino al %2 % e le inclinazioni fino a %3°</translation>
    </message>
    <message>
        <source>the known points do not fit one plane: %1 px on average; is one of them mistaken, or not in the plane?</source>
        <translation>i punti noti non stanno su un solo piano: %1 px in media; uno di essi è sbagliato, o fuori dal piano?</translation>
    </message>
    <message>
        <source>the drawn vertical and the known points differ by %1°</source>
        <translation>la verticale tracciata e i punti noti differiscono di %1°</translation>
    </message>
    <message>
        <source>the camera is tilted by %1°; leans are corrected by it, positions across the picture by %2 %</source>
        <translation>la telecamera è inclinata di %1°; le inclinazioni vengono corrette, le posizioni attraverso l&apos;immagine del %2 %</translation>
    </message>
    <message>
        <source>the movement leaves the plane by %1 m: lengths are wrong by up to %2 %, leans by up to %3°</source>
        <translation>il movimento esce dal piano di %1 m: le lunghezze sbagliano fino al %2 %, le inclinazioni fino a %3°</translation>
    </message>
</context>
<context>
    <name>cameras</name>
    <message>
        <source>Simulated camera</source>
        <translation>Telecamera simulata</translation>
    </message>
</context>
<context>
    <name>diary</name>
    <message>
        <source>%1 of %2 good</source>
        <translation>%1 buone su %2</translation>
    </message>
    <message>
        <source>%1 alone</source>
        <translation>%1 da solo</translation>
    </message>
    <message>
        <source>%1 (%2)</source>
        <translation>%1 (%2)</translation>
    </message>
    <message>
        <source>to try: %1</source>
        <translation>da provare: %1</translation>
    </message>
    <message numerus="yes">
        <source>%n minutes</source>
        <comment>%n minute</comment>
        <translation>
            <numerusform>%n minuto</numerusform>
            <numerusform>%n minuti</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n hits</source>
        <comment>%n hit</comment>
        <translation>
            <numerusform>%n centro</numerusform>
            <numerusform>%n centri</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>difference</name>
    <message>
        <source>open</source>
        <translation>aperto</translation>
    </message>
    <message>
        <source>yes</source>
        <translation>sì</translation>
    </message>
    <message>
        <source>no</source>
        <translation>no</translation>
    </message>
    <message>
        <source>words</source>
        <translation>parole</translation>
    </message>
    <message>
        <source>picture</source>
        <translation>immagine</translation>
    </message>
    <message>
        <source>of %1 bytes</source>
        <translation>di %1 byte</translation>
    </message>
    <message>
        <source>rule</source>
        <translation>regola</translation>
    </message>
    <message>
        <source>rule, of</source>
        <translation>regola, di</translation>
    </message>
    <message>
        <source>%1 of %2</source>
        <translation>%1 di %2</translation>
    </message>
    <message>
        <source>rule, direction</source>
        <translation>regola, direzione</translation>
    </message>
    <message>
        <source>rule, falling</source>
        <translation>regola, in calo</translation>
    </message>
    <message>
        <source>rule, level</source>
        <translation>regola, livello</translation>
    </message>
    <message>
        <source>rule, after</source>
        <translation>regola, dopo</translation>
    </message>
    <message>
        <source>rule, before</source>
        <translation>regola, prima</translation>
    </message>
    <message>
        <source>rule, frames</source>
        <translation>regola, fotogrammi</translation>
    </message>
    <message>
        <source>sentence</source>
        <translation>frase</translation>
    </message>
    <message>
        <source>kind</source>
        <translation>tipo</translation>
    </message>
    <message>
        <source>points</source>
        <translation>punti</translation>
    </message>
    <message>
        <source>reading</source>
        <translation>lettura</translation>
    </message>
    <message>
        <source>direction</source>
        <translation>direzione</translation>
    </message>
    <message>
        <source>per</source>
        <translation>rispetto a</translation>
    </message>
    <message>
        <source>unit</source>
        <translation>unità</translation>
    </message>
    <message>
        <source>view</source>
        <translation>vista</translation>
    </message>
    <message>
        <source>at</source>
        <translation>in</translation>
    </message>
    <message>
        <source>until</source>
        <translation>fino a</translation>
    </message>
    <message>
        <source>reduction</source>
        <translation>riduzione</translation>
    </message>
    <message>
        <source>against its own line</source>
        <translation>contro la propria linea</translation>
    </message>
    <message>
        <source>root mean square</source>
        <translation>media quadratica</translation>
    </message>
    <message>
        <source>aspect</source>
        <translation>aspetto</translation>
    </message>
    <message>
        <source>level</source>
        <translation>livello</translation>
    </message>
    <message>
        <source>events</source>
        <translation>eventi</translation>
    </message>
    <message>
        <source>read of</source>
        <translation>letta da</translation>
    </message>
    <message>
        <source>band to come back to</source>
        <translation>fascia in cui tornare</translation>
    </message>
    <message>
        <source>%1 to %2</source>
        <translation>da %1 a %2</translation>
    </message>
    <message>
        <source>height</source>
        <translation>altezza</translation>
    </message>
    <message>
        <source>cycles</source>
        <translation>cicli</translation>
    </message>
    <message>
        <source>checkpoint</source>
        <translation>punto di controllo</translation>
    </message>
    <message>
        <source>full width</source>
        <translation>larghezza piena</translation>
    </message>
    <message>
        <source>too low</source>
        <translation>troppo basso</translation>
    </message>
    <message>
        <source>too high</source>
        <translation>troppo alto</translation>
    </message>
    <message>
        <source>link %1</source>
        <translation>anello %1</translation>
    </message>
    <message>
        <source>target</source>
        <translation>obiettivo</translation>
    </message>
    <message>
        <source>target of school %1</source>
        <translation>obiettivo della scuola %1</translation>
    </message>
    <message>
        <source>%1 in situation %2</source>
        <translation>%1 nella situazione %2</translation>
    </message>
    <message>
        <source>source</source>
        <translation>fonte</translation>
    </message>
    <message>
        <source>from</source>
        <translation>da</translation>
    </message>
    <message>
        <source>to</source>
        <translation>a</translation>
    </message>
    <message>
        <source>k</source>
        <translation>k</translation>
    </message>
    <message>
        <source>floor</source>
        <translation>soglia</translation>
    </message>
    <message>
        <source>note</source>
        <translation>nota</translation>
    </message>
    <message>
        <source>why</source>
        <translation>perché</translation>
    </message>
    <message>
        <source>phase</source>
        <translation>fase</translation>
    </message>
    <message>
        <source>safety</source>
        <translation>sicurezza</translation>
    </message>
    <message>
        <source>trainability</source>
        <translation>allenabilità</translation>
    </message>
    <message>
        <source>caution</source>
        <translation>avvertenza</translation>
    </message>
    <message>
        <source>cue</source>
        <translation>richiamo</translation>
    </message>
    <message>
        <source>drills</source>
        <translation>esercizi</translation>
    </message>
    <message>
        <source>seen in %1, %2</source>
        <translation>visto in %1, %2</translation>
    </message>
    <message>
        <source>weight %1</source>
        <translation>peso %1</translation>
    </message>
    <message>
        <source>caused by %1</source>
        <translation>causato da %1</translation>
    </message>
    <message>
        <source>how</source>
        <translation>come</translation>
    </message>
    <message>
        <source>stage</source>
        <translation>livello di pratica</translation>
    </message>
    <message>
        <source>dose</source>
        <translation>dose</translation>
    </message>
    <message>
        <source>contrast</source>
        <translation>contrasto</translation>
    </message>
    <message>
        <source>equipment</source>
        <translation>attrezzi</translation>
    </message>
    <message>
        <source>partner</source>
        <translation>compagno</translation>
    </message>
    <message>
        <source>at home</source>
        <translation>a casa</translation>
    </message>
    <message>
        <source>speed</source>
        <translation>velocità</translation>
    </message>
    <message>
        <source>variations</source>
        <translation>variazioni</translation>
    </message>
    <message>
        <source>%1 above %2</source>
        <translation>%1 sopra %2</translation>
    </message>
    <message>
        <source>%1 below %2</source>
        <translation>%1 sotto %2</translation>
    </message>
    <message>
        <source>right choices</source>
        <translation>scelte giuste</translation>
    </message>
    <message>
        <source>declined beyond</source>
        <translation>si rinuncia oltre</translation>
    </message>
    <message>
        <source>faults</source>
        <translation>difetti</translation>
    </message>
    <message>
        <source>question</source>
        <translation>domanda</translation>
    </message>
    <message>
        <source>id</source>
        <translation>id</translation>
    </message>
    <message>
        <source>name</source>
        <translation>nome</translation>
    </message>
    <message>
        <source>cautions</source>
        <translation>avvertenze</translation>
    </message>
    <message>
        <source>landmarks</source>
        <translation>punti del corpo</translation>
    </message>
    <message>
        <source>nothing</source>
        <translation>niente</translation>
    </message>
    <message>
        <source>is new</source>
        <translation>è nuovo</translation>
    </message>
    <message>
        <source>name: “%1” → “%2”</source>
        <translation>nome: «%1» → «%2»</translation>
    </message>
    <message>
        <source>is gone</source>
        <translation>non c&apos;è più</translation>
    </message>
    <message>
        <source>%1 list</source>
        <translation>elenco: %1</translation>
    </message>
    <message>
        <source>order: %1 → %2</source>
        <translation>ordine: %1 → %2</translation>
    </message>
    <message>
        <source>blueprint</source>
        <translation>scheda</translation>
    </message>
    <message>
        <source>key position</source>
        <translation>posizione chiave</translation>
    </message>
    <message>
        <source>measure</source>
        <translation>misura</translation>
    </message>
    <message>
        <source>fault</source>
        <translation>difetto</translation>
    </message>
    <message>
        <source>drill</source>
        <translation>esercizio</translation>
    </message>
    <message>
        <source>school</source>
        <translation>scuola</translation>
    </message>
    <message>
        <source>situation</source>
        <translation>situazione</translation>
    </message>
    <message>
        <source>profile</source>
        <translation>profilo</translation>
    </message>
    <message>
        <source>hidden %1</source>
        <translation>nascosto %1</translation>
    </message>
    <message>
        <source>from %1 and %2</source>
        <translation>da %1 e %2</translation>
    </message>
</context>
<context>
    <name>error</name>
    <message>
        <source>Qt&apos;s SQLite driver is not installed (package libqt6sql6-sqlite)</source>
        <translation>il driver SQLite di Qt non è installato (pacchetto libqt6sql6-sqlite)</translation>
    </message>
    <message>
        <source>a C3D file holds up to 255 points and 65535 frames</source>
        <translation>un file C3D contiene fino a 255 punti e 65535 fotogrammi</translation>
    </message>
    <message>
        <source>a blueprint is of another name than it says</source>
        <translation>una scheda ha un nome diverso da quello che dice</translation>
    </message>
    <message>
        <source>a folder is in the way</source>
        <translation>una cartella è d&apos;intralcio</translation>
    </message>
    <message>
        <source>a picture could not be written</source>
        <translation>non è stato possibile scrivere un&apos;immagine</translation>
    </message>
    <message>
        <source>a take still uses this film</source>
        <translation>una ripresa usa ancora questo filmato</translation>
    </message>
    <message>
        <source>a trace has 2 to 24 exposures and is 64 to 4096 px wide</source>
        <translation>una traccia ha da 2 a 24 esposizioni ed è larga da 64 a 4096 px</translation>
    </message>
    <message>
        <source>a voice is read at 48,000 Hz</source>
        <translation>una voce si legge a 48.000 Hz</translation>
    </message>
    <message>
        <source>ankles, shoulders (or neck) and both hips (or shoulders) are needed to tell up from forward</source>
        <translation>servono caviglie, spalle (o collo) e le due anche (o spalle) per distinguere l&apos;alto dall&apos;avanti</translation>
    </message>
    <message>
        <source>begin another technique for this athlete</source>
        <translation>comincia un&apos;altra tecnica per questo atleta</translation>
    </message>
    <message>
        <source>both hold the same</source>
        <translation>contengono le stesse cose</translation>
    </message>
    <message>
        <source>bringing it in was cancelled</source>
        <translation>l&apos;importazione è stata annullata</translation>
    </message>
    <message>
        <source>choose a longer phase, or more exposures</source>
        <translation>scegli una fase più lunga, o più esposizioni</translation>
    </message>
    <message>
        <source>choose another folder</source>
        <translation>scegli un&apos;altra cartella</translation>
    </message>
    <message>
        <source>choose another folder or make a new library</source>
        <translation>scegli un&apos;altra cartella o crea una nuova libreria</translation>
    </message>
    <message>
        <source>choose another frame, or draw a box round the athlete</source>
        <translation>scegli un altro fotogramma, o disegna un riquadro attorno all&apos;atleta</translation>
    </message>
    <message>
        <source>choose another name</source>
        <translation>scegli un altro nome</translation>
    </message>
    <message>
        <source>close the library and open it again</source>
        <translation>chiudi la libreria e riaprila</translation>
    </message>
    <message>
        <source>copy the library to a place you may write to</source>
        <translation>copia la libreria in un posto in cui puoi scrivere</translation>
    </message>
    <message>
        <source>delete the old folder by hand</source>
        <translation>cancella a mano la vecchia cartella</translation>
    </message>
    <message>
        <source>draw a box round the athlete</source>
        <translation>disegna un riquadro attorno all&apos;atleta</translation>
    </message>
    <message>
        <source>draw a box round the athlete (Marking, B)</source>
        <translation>disegna un riquadro attorno all&apos;atleta (Marcatura, B)</translation>
    </message>
    <message>
        <source>everything else works</source>
        <translation>tutto il resto funziona</translation>
    </message>
    <message>
        <source>fewer than two exposures lie in this phase</source>
        <translation>in questa fase ci sono meno di due esposizioni</translation>
    </message>
    <message>
        <source>film with the camera on a stand</source>
        <translation>filma con la telecamera su un treppiede</translation>
    </message>
    <message>
        <source>if it is whole, add an empty line to it</source>
        <translation>se è intero, aggiungi una riga vuota</translation>
    </message>
    <message>
        <source>install the program again</source>
        <translation>installa di nuovo il programma</translation>
    </message>
    <message>
        <source>is it on a disk that was taken out?</source>
        <translation>è su un disco che è stato tolto?</translation>
    </message>
    <message>
        <source>is it still plugged in?</source>
        <translation>è ancora collegata?</translation>
    </message>
    <message>
        <source>is the disk full or write-protected?</source>
        <translation>il disco è pieno o protetto dalla scrittura?</translation>
    </message>
    <message>
        <source>is the disk full?</source>
        <translation>il disco è pieno?</translation>
    </message>
    <message>
        <source>its codec is not known to this computer&apos;s FFmpeg</source>
        <translation>il suo codec non è noto all&apos;FFmpeg di questo computer</translation>
    </message>
    <message>
        <source>its data in the library are damaged</source>
        <translation>i suoi dati nella libreria sono danneggiati</translation>
    </message>
    <message>
        <source>its last line has no end: the file may be cut off</source>
        <translation>l&apos;ultima riga non ha fine: il file potrebbe essere troncato</translation>
    </message>
    <message>
        <source>its pixel format cannot be shown</source>
        <translation>il suo formato dei pixel non si può mostrare</translation>
    </message>
    <message>
        <source>listening was cancelled</source>
        <translation>l&apos;ascolto è stato annullato</translation>
    </message>
    <message>
        <source>lite, full or heavy</source>
        <translation>lite, full o heavy</translation>
    </message>
    <message>
        <source>make room and do it again</source>
        <translation>fai spazio e riprova</translation>
    </message>
    <message>
        <source>mark a frame first</source>
        <translation>marca prima un fotogramma</translation>
    </message>
    <message>
        <source>mark a rep first, then its frames can be shown again</source>
        <translation>marca prima una ripetizione, poi i suoi fotogrammi si possono mostrare di nuovo</translation>
    </message>
    <message>
        <source>mark this rep&apos;s first frame by hand</source>
        <translation>marca a mano il primo fotogramma di questa ripetizione</translation>
    </message>
    <message>
        <source>more than a million rows</source>
        <translation>più di un milione di righe</translation>
    </message>
    <message>
        <source>no blueprint was loaded</source>
        <translation>nessuna scheda è stata caricata</translation>
    </message>
    <message>
        <source>no bundle was written</source>
        <translation>nessun pacchetto è stato scritto</translation>
    </message>
    <message>
        <source>no file was written</source>
        <translation>nessun file è stato scritto</translation>
    </message>
    <message>
        <source>no film was written</source>
        <translation>nessun filmato è stato scritto</translation>
    </message>
    <message>
        <source>no frame of this take has been marked by hand yet</source>
        <translation>di questa ripresa nessun fotogramma è ancora stato marcato a mano</translation>
    </message>
    <message>
        <source>no moment in these frames looks like the marked ones</source>
        <translation>nessun istante di questi fotogrammi somiglia a quelli marcati</translation>
    </message>
    <message>
        <source>no picture came while recording</source>
        <translation>durante la registrazione non è arrivata nessuna immagine</translation>
    </message>
    <message>
        <source>no picture was made</source>
        <translation>nessuna immagine è stata fatta</translation>
    </message>
    <message>
        <source>nobody is seen in this film</source>
        <translation>in questo filmato non si vede nessuno</translation>
    </message>
    <message>
        <source>not one frame in it can be decoded</source>
        <translation>non se ne può decodificare neppure un fotogramma</translation>
    </message>
    <message>
        <source>nothing is shown</source>
        <translation>non si mostra nulla</translation>
    </message>
    <message>
        <source>nothing was changed</source>
        <translation>non è stato cambiato nulla</translation>
    </message>
    <message>
        <source>nothing was filmed</source>
        <translation>non è stato filmato nulla</translation>
    </message>
    <message>
        <source>nothing was read</source>
        <translation>non è stato letto nulla</translation>
    </message>
    <message>
        <source>nothing was recorded</source>
        <translation>non è stato registrato nulla</translation>
    </message>
    <message>
        <source>nothing was saved</source>
        <translation>non è stato salvato nulla</translation>
    </message>
    <message>
        <source>nothing was taken in</source>
        <translation>non è stato accolto nulla</translation>
    </message>
    <message>
        <source>nothing was taken over</source>
        <translation>non è stato ripreso nulla</translation>
    </message>
    <message>
        <source>nothing was written</source>
        <translation>non è stato scritto nulla</translation>
    </message>
    <message>
        <source>one of the locked takes is gone</source>
        <translation>una delle riprese legate non c&apos;è più</translation>
    </message>
    <message>
        <source>only films inside the library are deleted</source>
        <translation>si cancellano solo i filmati dentro la libreria</translation>
    </message>
    <message>
        <source>open it with the newer program</source>
        <translation>aprila con il programma più recente</translation>
    </message>
    <message>
        <source>put the file aside to begin anew</source>
        <translation>metti da parte il file per ricominciare</translation>
    </message>
    <message>
        <source>reading it was cancelled</source>
        <translation>la lettura è stata annullata</translation>
    </message>
    <message>
        <source>restore an earlier copy (menu Library)</source>
        <translation>ripristina una copia precedente (menu Libreria)</translation>
    </message>
    <message>
        <source>saving failed: the disk is full</source>
        <translation>salvataggio fallito: il disco è pieno</translation>
    </message>
    <message>
        <source>the body finder was given an input of another size</source>
        <translation>il cercatore del corpo ha ricevuto un ingresso di altre dimensioni</translation>
    </message>
    <message>
        <source>the body finder&apos;s slower engine cannot run this model</source>
        <translation>il motore più lento del cercatore del corpo non può usare questo modello</translation>
    </message>
    <message>
        <source>the body model cannot be read</source>
        <translation>il modello del corpo non si può leggere</translation>
    </message>
    <message>
        <source>the body model is missing</source>
        <translation>manca il modello del corpo</translation>
    </message>
    <message>
        <source>the box has no size or lies outside of the picture</source>
        <translation>il riquadro non ha dimensioni o sta fuori dall&apos;immagine</translation>
    </message>
    <message>
        <source>the camera gives no more pictures</source>
        <translation>la telecamera non dà più immagini</translation>
    </message>
    <message>
        <source>the clip was cancelled</source>
        <translation>la clip è stata annullata</translation>
    </message>
    <message>
        <source>the copy cannot be read</source>
        <translation>la copia non si può leggere</translation>
    </message>
    <message>
        <source>the file has a header but no marks</source>
        <translation>il file ha un&apos;intestazione ma nessun segno</translation>
    </message>
    <message>
        <source>the file has a header but no rows</source>
        <translation>il file ha un&apos;intestazione ma nessuna riga</translation>
    </message>
    <message>
        <source>the file is empty</source>
        <translation>il file è vuoto</translation>
    </message>
    <message>
        <source>the file is not a library of Riflesso</source>
        <translation>il file non è una libreria di Riflesso</translation>
    </message>
    <message>
        <source>the film and the library are as they were</source>
        <translation>il filmato e la libreria sono com&apos;erano</translation>
    </message>
    <message>
        <source>the film cannot be copied into the library</source>
        <translation>il filmato non si può copiare nella libreria</translation>
    </message>
    <message>
        <source>the film cannot be read</source>
        <translation>il filmato non si può leggere</translation>
    </message>
    <message>
        <source>the film cannot be read to its end</source>
        <translation>il filmato non si può leggere fino in fondo</translation>
    </message>
    <message>
        <source>the film could not be deleted</source>
        <translation>non è stato possibile cancellare il filmato</translation>
    </message>
    <message>
        <source>the films&apos; folder cannot be read</source>
        <translation>la cartella dei filmati non si può leggere</translation>
    </message>
    <message>
        <source>the folder cannot be made</source>
        <translation>la cartella non si può creare</translation>
    </message>
    <message>
        <source>the folder cannot be read</source>
        <translation>la cartella non si può leggere</translation>
    </message>
    <message>
        <source>the folder for the pictures cannot be made</source>
        <translation>la cartella per le immagini non si può creare</translation>
    </message>
    <message>
        <source>the folder is there already</source>
        <translation>la cartella c&apos;è già</translation>
    </message>
    <message>
        <source>the folder was cancelled</source>
        <translation>la cartella è stata annullata</translation>
    </message>
    <message>
        <source>the frames before are kept</source>
        <translation>i fotogrammi precedenti sono conservati</translation>
    </message>
    <message>
        <source>the hips&apos; line stands upright: forward cannot be told</source>
        <translation>la linea delle anche è verticale: non si può dire dov&apos;è l&apos;avanti</translation>
    </message>
    <message>
        <source>the library cannot be made</source>
        <translation>la libreria non si può creare</translation>
    </message>
    <message>
        <source>the library is as it was before</source>
        <translation>la libreria è com&apos;era prima</translation>
    </message>
    <message>
        <source>the library is at its new place, but the old one cannot be cleared</source>
        <translation>la libreria è al nuovo posto, ma la vecchia non si può svuotare</translation>
    </message>
    <message>
        <source>the library is open to be read only</source>
        <translation>la libreria è aperta in sola lettura</translation>
    </message>
    <message>
        <source>the library is write-protected</source>
        <translation>la libreria è protetta dalla scrittura</translation>
    </message>
    <message>
        <source>the library was not changed</source>
        <translation>la libreria non è stata cambiata</translation>
    </message>
    <message>
        <source>the library was replaced by another one meanwhile</source>
        <translation>nel frattempo la libreria è stata sostituita da un&apos;altra</translation>
    </message>
    <message>
        <source>the library&apos;s file is damaged</source>
        <translation>il file della libreria è danneggiato</translation>
    </message>
    <message>
        <source>the new place lies within the library</source>
        <translation>il nuovo posto sta dentro la libreria</translation>
    </message>
    <message>
        <source>the other frames stay usable</source>
        <translation>gli altri fotogrammi restano utilizzabili</translation>
    </message>
    <message>
        <source>the picture cannot be encoded</source>
        <translation>l&apos;immagine non si può codificare</translation>
    </message>
    <message>
        <source>the picture was cancelled</source>
        <translation>l&apos;immagine è stata annullata</translation>
    </message>
    <message>
        <source>the present library cannot be put aside</source>
        <translation>la libreria attuale non si può mettere da parte</translation>
    </message>
    <message>
        <source>the review has no scene</source>
        <translation>il commento non ha scene</translation>
    </message>
    <message>
        <source>the review was cancelled</source>
        <translation>il commento è stato annullato</translation>
    </message>
    <message>
        <source>the review was not kept</source>
        <translation>il commento non è stato conservato</translation>
    </message>
    <message>
        <source>the technique cannot be changed any more: something has been marked, placed or practised</source>
        <translation>la tecnica non si può più cambiare: qualcosa è già stato marcato, collocato o praticato</translation>
    </message>
    <message>
        <source>there are no pictures to keep</source>
        <translation>non ci sono immagini da conservare</translation>
    </message>
    <message>
        <source>there is no case in this library</source>
        <translation>in questa libreria non c&apos;è nessun caso</translation>
    </message>
    <message>
        <source>there is no library</source>
        <translation>non c&apos;è nessuna libreria</translation>
    </message>
    <message>
        <source>there is no library in this folder</source>
        <translation>in questa cartella non c&apos;è nessuna libreria</translation>
    </message>
    <message>
        <source>there is no such rep</source>
        <translation>questa ripetizione non c&apos;è</translation>
    </message>
    <message>
        <source>there is something at the new place already</source>
        <translation>nel nuovo posto c&apos;è già qualcosa</translation>
    </message>
    <message>
        <source>there is too little to hold on to in the background</source>
        <translation>lo sfondo offre troppo poco a cui aggrapparsi</translation>
    </message>
    <message>
        <source>these are no scores</source>
        <translation>questi non sono punteggi</translation>
    </message>
    <message>
        <source>this film is too long to be one rep</source>
        <translation>questo filmato è troppo lungo per essere una ripetizione</translation>
    </message>
    <message>
        <source>this is no body model that the program knows</source>
        <translation>non è un modello del corpo che il programma conosce</translation>
    </message>
    <message>
        <source>this is no copy of a library</source>
        <translation>questa non è una copia di una libreria</translation>
    </message>
    <message>
        <source>this is no model for finding people that the program knows</source>
        <translation>non è un modello per trovare persone che il programma conosce</translation>
    </message>
    <message>
        <source>this is not the body model that the program knows (its SHA-256 is another one)</source>
        <translation>non è il modello del corpo che il programma conosce (il suo SHA-256 è un altro)</translation>
    </message>
    <message>
        <source>this is not valid JSON</source>
        <translation>non è un JSON valido</translation>
    </message>
    <message>
        <source>two different athletes of this library are made one</source>
        <translation>si uniscono due atleti diversi di questa libreria</translation>
    </message>
    <message>
        <source>what is found cannot be kept: the disk is full</source>
        <translation>ciò che si trova non si può conservare: il disco è pieno</translation>
    </message>
    <message>
        <source>what was found so far is kept</source>
        <translation>ciò che è stato trovato finora è conservato</translation>
    </message>
    <message>
        <source>what was recorded so far is kept</source>
        <translation>ciò che è stato registrato finora è conservato</translation>
    </message>
    <message>
        <source>without the model that finds people a box must be drawn</source>
        <translation>senza il modello che trova le persone bisogna disegnare un riquadro</translation>
    </message>
    <message>
        <source>look at them in Marking</source>
        <translation>guardali in Marcatura</translation>
    </message>
    <message>
        <source>the marks of this rep lie outside the picture</source>
        <translation>i punti marcati di questa ripetizione sono fuori dall&apos;immagine</translation>
    </message>
    <message>
        <source>two views are tied together by eight points that both show; there are %1</source>
        <translation>due viste si legano con otto punti visibili in entrambe; ce ne sono %1</translation>
    </message>
    <message>
        <source>to tell wrong marks from right ones two views need twelve points that both show; there are %1</source>
        <translation>per distinguere i punti giusti da quelli sbagliati servono dodici punti visibili in entrambe le viste; ce ne sono %1</translation>
    </message>
    <message>
        <source>the sound tracks do not clearly fit at one place (%1 % better than the next)</source>
        <translation>le tracce audio non combaciano chiaramente in un solo punto (%1 % meglio del successivo)</translation>
    </message>
    <message>
        <source>no blueprint “%1” ships with this program</source>
        <translation>nessuna scheda «%1» fa parte di questo programma</translation>
    </message>
    <message>
        <source>“%1” is no name of a blueprint</source>
        <translation>«%1» non è il nome di una scheda</translation>
    </message>
    <message>
        <source>“%1” is no name for a blueprint: letters, digits, - and _ only</source>
        <translation>«%1» non può essere il nome di una scheda: solo lettere, cifre, - e _</translation>
    </message>
    <message>
        <source>there is no version %1 of “%2”</source>
        <translation>non esiste la versione %1 di «%2»</translation>
    </message>
    <message>
        <source>the folder cannot be made (%1)</source>
        <translation>la cartella non si può creare (%1)</translation>
    </message>
    <message>
        <source>the file is larger than %1 MB</source>
        <translation>il file è più grande di %1 MB</translation>
    </message>
    <message>
        <source>the file cannot be read (%1)</source>
        <translation>il file non si può leggere (%1)</translation>
    </message>
    <message>
        <source>there is no case %1</source>
        <translation>il caso %1 non esiste</translation>
    </message>
    <message>
        <source>the film %1 is not there</source>
        <translation>il filmato %1 non c&apos;è</translation>
    </message>
    <message>
        <source>the copy cannot be read (%1)</source>
        <translation>la copia non si può leggere (%1)</translation>
    </message>
    <message>
        <source>the present library cannot be put aside (%1)</source>
        <translation>la libreria attuale non si può mettere da parte (%1)</translation>
    </message>
    <message>
        <source>the library is at its new place, but the old one cannot be cleared (%1)</source>
        <translation>la libreria è nel posto nuovo, ma quello vecchio non si può svuotare (%1)</translation>
    </message>
    <message>
        <source>the library&apos;s file is damaged (%1)</source>
        <translation>il file della libreria è danneggiato (%1)</translation>
    </message>
    <message>
        <source>the column %1 is missing from the header</source>
        <translation>nell&apos;intestazione manca la colonna %1</translation>
    </message>
    <message>
        <source>these are no scores (%1)</source>
        <translation>questi non sono punteggi (%1)</translation>
    </message>
    <message>
        <source>the library was written by a newer Riflesso (format %1, this one knows up to %2)</source>
        <translation>la libreria è stata scritta da un Riflesso più nuovo (formato %1, questo arriva al %2)</translation>
    </message>
    <message>
        <source>not JSON: %1</source>
        <translation>non è JSON: %1</translation>
    </message>
    <message>
        <source>the folder cannot be read (%1)</source>
        <translation>la cartella non si può leggere (%1)</translation>
    </message>
    <message>
        <source>the film cannot be copied into the library (%1)</source>
        <translation>il filmato non si può copiare nella libreria (%1)</translation>
    </message>
    <message>
        <source>the films&apos; folder cannot be read (%1)</source>
        <translation>la cartella dei filmati non si può leggere (%1)</translation>
    </message>
    <message>
        <source>the film could not be deleted (%1)</source>
        <translation>il filmato non si è potuto cancellare (%1)</translation>
    </message>
    <message>
        <source>these are no %1 (%2)</source>
        <translation>questi non sono %1 (%2)</translation>
    </message>
    <message>
        <source>the field %1 is missing</source>
        <translation>manca il campo %1</translation>
    </message>
    <message>
        <source>frame must be a whole number from 0 on, not “%1”</source>
        <translation>il fotogramma deve essere un numero intero da 0 in su, non «%1»</translation>
    </message>
    <message>
        <source>%1 must be a number, not “%2”</source>
        <translation>%1 deve essere un numero, non «%2»</translation>
    </message>
    <message>
        <source>“%1” is no landmark</source>
        <translation>«%1» non è un punto</translation>
    </message>
    <message>
        <source>sigma_px must be a number from 0 on, not “%1”</source>
        <translation>sigma_px deve essere un numero da 0 in su, non «%1»</translation>
    </message>
    <message>
        <source>how must be hand, tracked, found, interpolated or proxy, not “%1”</source>
        <translation>how deve essere hand, tracked, found, interpolated o proxy, non «%1»</translation>
    </message>
    <message>
        <source>frame %1 has two different times</source>
        <translation>il fotogramma %1 ha due tempi diversi</translation>
    </message>
    <message>
        <source>the time of frame %1 is not later than that of the frame before</source>
        <translation>il tempo del fotogramma %1 non viene dopo quello del fotogramma precedente</translation>
    </message>
    <message>
        <source>there is no hand mark to carry from on frames %1 to %2</source>
        <translation>dal fotogramma %1 al %2 non c&apos;è nessun punto marcato a mano da cui portare avanti</translation>
    </message>
    <message>
        <source>there is no frame %1: the film has frames 0 to %2</source>
        <translation>il fotogramma %1 non esiste: il filmato va dallo 0 al %2</translation>
    </message>
    <message>
        <source>frame %1 is damaged and cannot be shown</source>
        <translation>il fotogramma %1 è danneggiato e non si può mostrare</translation>
    </message>
    <message>
        <source>the background was lost on %1 of %2 frames</source>
        <translation>lo sfondo si è perso in %1 di %2 fotogrammi</translation>
    </message>
    <message>
        <source>there is no body model called “%1”</source>
        <translation>non c&apos;è un modello del corpo chiamato «%1»</translation>
    </message>
    <message>
        <source>frame %1 is not among those to be searched (%2 to %3)</source>
        <translation>il fotogramma %1 non è fra quelli da esaminare (da %2 a %3)</translation>
    </message>
    <message>
        <source>nobody is seen on frame %1</source>
        <translation>nel fotogramma %1 non si vede nessuno</translation>
    </message>
    <message>
        <source>the same film is in this case already, as “%1”</source>
        <translation>lo stesso filmato è già in questo caso, come «%1»</translation>
    </message>
    <message>
        <source>the body model cannot be used: %1</source>
        <translation>il modello del corpo non si può usare: %1</translation>
    </message>
    <message>
        <source>the body finder&apos;s engine fails: %1</source>
        <translation>il motore che trova il corpo non funziona: %1</translation>
    </message>
    <message>
        <source>the body finder&apos;s slower engine refuses the model: %1</source>
        <translation>il motore più lento che trova il corpo rifiuta il modello: %1</translation>
    </message>
    <message>
        <source>layer %1</source>
        <translation>strato %1</translation>
    </message>
    <message>
        <source>the film cannot be copied (%1)</source>
        <translation>il filmato non si può copiare (%1)</translation>
    </message>
    <message>
        <source>a picture could not be encoded</source>
        <translation>un&apos;immagine non si è potuta codificare</translation>
    </message>
    <message>
        <source>a picture has another size than the film</source>
        <translation>un&apos;immagine ha misure diverse dal filmato</translation>
    </message>
    <message>
        <source>a picture or sound could not be encoded</source>
        <translation>un&apos;immagine o un suono non si è potuto codificare</translation>
    </message>
    <message>
        <source>a piece of the film cannot be read</source>
        <translation>un pezzo del filmato non si può leggere</translation>
    </message>
    <message>
        <source>a piece of the film has another size than the film</source>
        <translation>un pezzo del filmato ha misure diverse dal filmato</translation>
    </message>
    <message>
        <source>no MP4 can be made</source>
        <translation>non si può creare un MP4</translation>
    </message>
    <message>
        <source>no sound can be written</source>
        <translation>non si può scrivere il suono</translation>
    </message>
    <message>
        <source>pictures must be added in the order of time</source>
        <translation>le immagini vanno aggiunte in ordine di tempo</translation>
    </message>
    <message>
        <source>sound could not be encoded</source>
        <translation>il suono non si è potuto codificare</translation>
    </message>
    <message>
        <source>the encoder does not start</source>
        <translation>il codificatore non parte</translation>
    </message>
    <message>
        <source>the film could not be written</source>
        <translation>il filmato non si è potuto scrivere</translation>
    </message>
    <message>
        <source>the film could not be written to its end</source>
        <translation>il filmato non si è potuto scrivere fino alla fine</translation>
    </message>
    <message>
        <source>the film was begun without sound</source>
        <translation>il filmato è stato cominciato senza suono</translation>
    </message>
    <message>
        <source>there is not enough memory</source>
        <translation>non c&apos;è abbastanza memoria</translation>
    </message>
    <message>
        <source>this computer&apos;s FFmpeg cannot write H.264</source>
        <translation>l&apos;FFmpeg di questo computer non può scrivere H.264</translation>
    </message>
    <message>
        <source>width and height must be even and the rate positive</source>
        <translation>larghezza e altezza devono essere pari e la frequenza positiva</translation>
    </message>
    <message>
        <source>another program is writing this film</source>
        <translation>un altro programma sta scrivendo questo filmato</translation>
    </message>
    <message>
        <source>wait until it is done, or choose another name</source>
        <translation>aspetta che abbia finito, o scegli un altro nome</translation>
    </message>
    <message>
        <source>this model is of another technique: %1</source>
        <translation>questo modello è di un&apos;altra tecnica: %1</translation>
    </message>
    <message>
        <source>a plane needs at least four known points</source>
        <translation>un piano richiede almeno quattro punti noti</translation>
    </message>
    <message>
        <source>frame %1</source>
        <translation>fotogramma %1</translation>
    </message>
    <message>
        <source>one of the takes is not marked</source>
        <translation>una delle riprese non è marcata</translation>
    </message>
    <message>
        <source>this bundle is damaged (something in it is no ordinary file)</source>
        <translation>questo pacchetto è danneggiato (contiene qualcosa che non è un file normale)</translation>
    </message>
    <message>
        <source>this bundle is damaged (a part that its table does not know)</source>
        <translation>questo pacchetto è danneggiato (una parte che il suo indice non conosce)</translation>
    </message>
    <message>
        <source>this bundle is damaged (%1 has another sum)</source>
        <translation>questo pacchetto è danneggiato (%1 ha un&apos;altra somma)</translation>
    </message>
    <message>
        <source>%1 line %2</source>
        <translation>%1 riga %2</translation>
    </message>
    <message>
        <source>%1 failed (%2)</source>
        <translation>%1 non va a buon fine (%2)</translation>
    </message>
    <message>
        <source>%1 failed: the disk is full</source>
        <translation>%1 non va a buon fine: il disco è pieno</translation>
    </message>
    <message>
        <source>%1 failed: the library is write-protected</source>
        <translation>%1 non va a buon fine: la libreria è protetta da scrittura</translation>
    </message>
    <message>
        <source>%1 failed: the library&apos;s folder is write-protected or cannot be reached</source>
        <translation>%1 non va a buon fine: la cartella della libreria è protetta da scrittura o non raggiungibile</translation>
    </message>
    <message>
        <source>%1 failed: another program is using the library</source>
        <translation>%1 non va a buon fine: un altro programma sta usando la libreria</translation>
    </message>
    <message>
        <source>picture %1: %2</source>
        <translation>immagine %1: %2</translation>
    </message>
    <message>
        <source>joint %1</source>
        <translation>articolazione %1</translation>
    </message>
    <message>
        <source>“%1” is no channel</source>
        <translation>«%1» non è un canale</translation>
    </message>
    <message>
        <source>“%1” is not expected in the hierarchy</source>
        <translation>«%1» non è atteso nella gerarchia</translation>
    </message>
    <message>
        <source>line %1</source>
        <translation>riga %1</translation>
    </message>
    <message>
        <source>“%1” is no number</source>
        <translation>«%1» non è un numero</translation>
    </message>
    <message>
        <source>parameters</source>
        <translation>parametri</translation>
    </message>
    <message>
        <source>head</source>
        <translation>intestazione</translation>
    </message>
    <message>
        <source>%1 on frame %2</source>
        <translation>%1 sul fotogramma %2</translation>
    </message>
    <message>
        <source>%1 stands twice on frame %2</source>
        <translation>%1 compare due volte sul fotogramma %2</translation>
    </message>
    <message>
        <source>a calendar of more than 10 MB is not read</source>
        <translation>un calendario di più di 10 MB non viene letto</translation>
    </message>
    <message>
        <source>a clip has 64 to 4096 pixels each way, even numbers</source>
        <translation>una clip ha da 64 a 4096 pixel per lato, numeri pari</translation>
    </message>
    <message>
        <source>a clip is up to 64 times slower than life, with 1 to 240 pictures a second</source>
        <translation>una clip è fino a 64 volte più lenta del vero, con 1–240 immagini al secondo</translation>
    </message>
    <message>
        <source>a clip shows a rep</source>
        <translation>una clip mostra una ripetizione</translation>
    </message>
    <message>
        <source>a fall needs a height, frames between and a stated rate</source>
        <translation>una caduta richiede un&apos;altezza, i fotogrammi intermedi e una frequenza dichiarata</translation>
    </message>
    <message>
        <source>a fall needs at least three places</source>
        <translation>una caduta richiede almeno tre posizioni</translation>
    </message>
    <message>
        <source>a file cannot be copied</source>
        <translation>un file non può essere copiato</translation>
    </message>
    <message>
        <source>a frame&apos;s time is not a number</source>
        <translation>il tempo di un fotogramma non è un numero</translation>
    </message>
    <message>
        <source>a frame&apos;s time is not later than the one before</source>
        <translation>il tempo di un fotogramma non è successivo al precedente</translation>
    </message>
    <message>
        <source>a joint has 0 to 6 channels</source>
        <translation>un&apos;articolazione ha da 0 a 6 canali</translation>
    </message>
    <message>
        <source>a known length is not drawn, or is zero</source>
        <translation>una lunghezza nota non è tracciata, o è zero</translation>
    </message>
    <message>
        <source>a mask for each picture, or none</source>
        <translation>una maschera per ogni immagine, o nessuna</translation>
    </message>
    <message>
        <source>a number is missing or is none</source>
        <translation>un numero manca o non è tale</translation>
    </message>
    <message>
        <source>a place more than a million pixels away cannot be true</source>
        <translation>una posizione a più di un milione di pixel non può essere vera</translation>
    </message>
    <message>
        <source>a row is damaged: what it holds is not what was written</source>
        <translation>una riga è danneggiata: il contenuto non è quello che fu scritto</translation>
    </message>
    <message>
        <source>a } too many</source>
        <translation>una } di troppo</translation>
    </message>
    <message>
        <source>add the user to the group “video”</source>
        <translation>aggiungi l&apos;utente al gruppo «video»</translation>
    </message>
    <message>
        <source>adding the athlete</source>
        <translation>l&apos;aggiunta dell&apos;atleta</translation>
    </message>
    <message>
        <source>adding the case</source>
        <translation>l&apos;aggiunta del caso</translation>
    </message>
    <message>
        <source>an earlier copy of it can be restored from its folder “copies”</source>
        <translation>una copia precedente si può ripristinare dalla sua cartella «copies»</translation>
    </message>
    <message>
        <source>another program has changed or removed this meanwhile</source>
        <translation>nel frattempo un altro programma l&apos;ha cambiato o tolto</translation>
    </message>
    <message>
        <source>at least three pairs are needed</source>
        <translation>servono almeno tre coppie</translation>
    </message>
    <message>
        <source>at least two things must have been read</source>
        <translation>devono essere state lette almeno due cose</translation>
    </message>
    <message>
        <source>check their numbers</source>
        <translation>controlla i loro numeri</translation>
    </message>
    <message>
        <source>choose a place that you may write to</source>
        <translation>scegli un posto in cui si possa scrivere</translation>
    </message>
    <message>
        <source>close that program and try again</source>
        <translation>chiudi quel programma e riprova</translation>
    </message>
    <message>
        <source>close the other program and do it again</source>
        <translation>chiudi l&apos;altro programma e rifallo</translation>
    </message>
    <message>
        <source>copying the library</source>
        <translation>la copia della libreria</translation>
    </message>
    <message>
        <source>deleting the athlete</source>
        <translation>l&apos;eliminazione dell&apos;atleta</translation>
    </message>
    <message>
        <source>do the pairs show the same instants, in the same order?</source>
        <translation>le coppie mostrano gli stessi istanti, nello stesso ordine?</translation>
    </message>
    <message>
        <source>does the folder exist?</source>
        <translation>la cartella esiste?</translation>
    </message>
    <message>
        <source>draw it from end to end</source>
        <translation>tracciala da un capo all&apos;altro</translation>
    </message>
    <message>
        <source>draw it longer</source>
        <translation>tracciala più lunga</translation>
    </message>
    <message>
        <source>draw the box closer round the athlete</source>
        <translation>traccia il riquadro più stretto attorno all&apos;atleta</translation>
    </message>
    <message>
        <source>each thing must have been read at least twice</source>
        <translation>ogni cosa deve essere stata letta almeno due volte</translation>
    </message>
    <message>
        <source>each thing must have been read equally often</source>
        <translation>ogni cosa deve essere stata letta lo stesso numero di volte</translation>
    </message>
    <message>
        <source>fetch it with finder/models/fetch.sh</source>
        <translation>scaricalo con finder/models/fetch.sh</translation>
    </message>
    <message>
        <source>install libavdevice59</source>
        <translation>installa libavdevice59</translation>
    </message>
    <message>
        <source>is the disk still there?</source>
        <translation>il disco c&apos;è ancora?</translation>
    </message>
    <message>
        <source>it can be put aside; a new one is made of the findings</source>
        <translation>si può mettere da parte; se ne fa uno nuovo dai risultati</translation>
    </message>
    <message>
        <source>it cannot be read a second time</source>
        <translation>non può essere letto una seconda volta</translation>
    </message>
    <message>
        <source>it ends before its last frame</source>
        <translation>finisce prima del suo ultimo fotogramma</translation>
    </message>
    <message>
        <source>it holds no points or no frames</source>
        <translation>non contiene punti o fotogrammi</translation>
    </message>
    <message>
        <source>it is too long</source>
        <translation>è troppo lungo</translation>
    </message>
    <message>
        <source>it is too long, or its rate cannot be true</source>
        <translation>è troppo lungo, o la sua frequenza non può essere vera</translation>
    </message>
    <message>
        <source>it says that its points begin in its head</source>
        <translation>dice che i suoi punti cominciano nell&apos;intestazione</translation>
    </message>
    <message>
        <source>its decoder does not start</source>
        <translation>il suo decodificatore non parte</translation>
    </message>
    <message>
        <source>its films could not be written</source>
        <translation>i suoi filmati non si sono potuti scrivere</translation>
    </message>
    <message>
        <source>its numbers are in DEC order, which this program does not read</source>
        <translation>i suoi numeri sono in ordine DEC, che questo programma non legge</translation>
    </message>
    <message>
        <source>its offset is not three numbers</source>
        <translation>il suo scostamento non è di tre numeri</translation>
    </message>
    <message>
        <source>its points have no names</source>
        <translation>i suoi punti non hanno nomi</translation>
    </message>
    <message>
        <source>its sound cannot be converted</source>
        <translation>il suo sonoro non può essere convertito</translation>
    </message>
    <message>
        <source>its sound holds nothing</source>
        <translation>il suo sonoro non contiene nulla</translation>
    </message>
    <message>
        <source>look at what is there now, then do it again</source>
        <translation>guarda che cosa c&apos;è ora, poi rifallo</translation>
    </message>
    <message>
        <source>looking at the movement was cancelled</source>
        <translation>l&apos;esame del movimento è stato annullato</translation>
    </message>
    <message>
        <source>looking for the same moment was cancelled</source>
        <translation>la ricerca dello stesso momento è stata annullata</translation>
    </message>
    <message>
        <source>looking through the library</source>
        <translation>l&apos;esame della libreria</translation>
    </message>
    <message>
        <source>make room on the disk and do it again</source>
        <translation>fai spazio sul disco e rifallo</translation>
    </message>
    <message>
        <source>make room on the disk, or unlock the folder</source>
        <translation>fai spazio sul disco, o sblocca la cartella</translation>
    </message>
    <message>
        <source>making two entries one</source>
        <translation>l&apos;unione di due voci</translation>
    </message>
    <message>
        <source>mark more points by hand in both views</source>
        <translation>marca a mano più punti in entrambe le viste</translation>
    </message>
    <message>
        <source>mark points at different depths</source>
        <translation>marca punti a profondità diverse</translation>
    </message>
    <message>
        <source>marks of take</source>
        <translation>segni della ripresa</translation>
    </message>
    <message>
        <source>more than a thousand joints</source>
        <translation>più di mille articolazioni</translation>
    </message>
    <message>
        <source>moving the library was cancelled</source>
        <translation>lo spostamento della libreria è stato annullato</translation>
    </message>
    <message>
        <source>no camera runs so differently</source>
        <translation>nessuna telecamera corre in modo così diverso</translation>
    </message>
    <message>
        <source>no case was chosen</source>
        <translation>non è stato scelto alcun caso</translation>
    </message>
    <message>
        <source>no clip was written</source>
        <translation>non è stata scritta alcuna clip</translation>
    </message>
    <message>
        <source>no file of this name was written or changed</source>
        <translation>nessun file con questo nome è stato scritto o cambiato</translation>
    </message>
    <message>
        <source>no instant is shared yet</source>
        <translation>ancora nessun istante è comune</translation>
    </message>
    <message>
        <source>no joint has a channel: nothing moves</source>
        <translation>nessuna articolazione ha un canale: niente si muove</translation>
    </message>
    <message>
        <source>no plane fits the known points</source>
        <translation>nessun piano si adatta ai punti noti</translation>
    </message>
    <message>
        <source>nobody is found there</source>
        <translation>là non si trova nessuno</translation>
    </message>
    <message>
        <source>not one frame in it can be read</source>
        <translation>nessun suo fotogramma può essere letto</translation>
    </message>
    <message>
        <source>nothing else was changed</source>
        <translation>nient&apos;altro è stato cambiato</translation>
    </message>
    <message>
        <source>nothing was locked</source>
        <translation>nulla è stato agganciato</translation>
    </message>
    <message>
        <source>nothing was overwritten</source>
        <translation>nulla è stato sovrascritto</translation>
    </message>
    <message>
        <source>one has more than seven dimensions</source>
        <translation>uno ha più di sette dimensioni</translation>
    </message>
    <message>
        <source>one of the films has no sound to go by</source>
        <translation>uno dei filmati non ha un sonoro su cui basarsi</translation>
    </message>
    <message>
        <source>open it, or choose another folder</source>
        <translation>aprila, o scegli un&apos;altra cartella</translation>
    </message>
    <message>
        <source>opening it was cancelled</source>
        <translation>l&apos;apertura è stata annullata</translation>
    </message>
    <message>
        <source>opening the library</source>
        <translation>l&apos;apertura della libreria</translation>
    </message>
    <message>
        <source>plug it in, or choose another</source>
        <translation>collegala, o scegline un&apos;altra</translation>
    </message>
    <message>
        <source>reading the athletes</source>
        <translation>la lettura degli atleti</translation>
    </message>
    <message>
        <source>reading the case</source>
        <translation>la lettura del caso</translation>
    </message>
    <message>
        <source>reading the cases</source>
        <translation>la lettura dei casi</translation>
    </message>
    <message>
        <source>reading the library</source>
        <translation>la lettura della libreria</translation>
    </message>
    <message>
        <source>reading the plans</source>
        <translation>la lettura dei piani</translation>
    </message>
    <message>
        <source>reading the takes</source>
        <translation>la lettura delle riprese</translation>
    </message>
    <message>
        <source>saving the athlete</source>
        <translation>il salvataggio dell&apos;atleta</translation>
    </message>
    <message>
        <source>show a shared instant in both instead</source>
        <translation>indica piuttosto un istante comune in entrambi</translation>
    </message>
    <message>
        <source>show the same instant in both films</source>
        <translation>indica lo stesso istante in entrambi i filmati</translation>
    </message>
    <message>
        <source>take instants that lie apart</source>
        <translation>prendi istanti lontani fra loro</translation>
    </message>
    <message>
        <source>take the corners of a rectangle</source>
        <translation>prendi gli angoli di un rettangolo</translation>
    </message>
    <message>
        <source>take two frames that lie apart</source>
        <translation>prendi due fotogrammi lontani fra loro</translation>
    </message>
    <message>
        <source>taking it in was cancelled</source>
        <translation>l&apos;accoglienza è stata annullata</translation>
    </message>
    <message>
        <source>the bundle could not be written; is the disk full?</source>
        <translation>il pacchetto non si è potuto scrivere; il disco è pieno?</translation>
    </message>
    <message>
        <source>the bundle was cancelled</source>
        <translation>il pacchetto è stato annullato</translation>
    </message>
    <message>
        <source>the camera does not start</source>
        <translation>la telecamera non parte</translation>
    </message>
    <message>
        <source>the camera gives no pictures</source>
        <translation>la telecamera non dà immagini</translation>
    </message>
    <message>
        <source>the camera is in use by another program</source>
        <translation>la telecamera è in uso da un altro programma</translation>
    </message>
    <message>
        <source>the camera is not there</source>
        <translation>la telecamera non c&apos;è</translation>
    </message>
    <message>
        <source>the camera&apos;s picture format is not known</source>
        <translation>il formato d&apos;immagine della telecamera non è noto</translation>
    </message>
    <message>
        <source>the capture rate must be a positive number</source>
        <translation>la frequenza di ripresa deve essere un numero positivo</translation>
    </message>
    <message>
        <source>the codec of its sound is not known to this computer&apos;s FFmpeg</source>
        <translation>il codec del suo sonoro non è noto all&apos;FFmpeg di questo computer</translation>
    </message>
    <message>
        <source>the data rate is missing or cannot be true</source>
        <translation>la frequenza dei dati manca o non può essere vera</translation>
    </message>
    <message>
        <source>the data rate is no number</source>
        <translation>la frequenza dei dati non è un numero</translation>
    </message>
    <message>
        <source>the disk has no room for its films</source>
        <translation>il disco non ha spazio per i suoi filmati</translation>
    </message>
    <message>
        <source>the empty place is made of 3 to 64 pictures</source>
        <translation>il luogo vuoto si ricava da 3–64 immagini</translation>
    </message>
    <message>
        <source>the file cannot be read</source>
        <translation>il file non può essere letto</translation>
    </message>
    <message>
        <source>the file could not be written</source>
        <translation>il file non si è potuto scrivere</translation>
    </message>
    <message>
        <source>the file has no moving picture (sound only)</source>
        <translation>il file non ha immagini in movimento (solo sonoro)</translation>
    </message>
    <message>
        <source>the file holds nothing that can be read</source>
        <translation>il file non contiene nulla che si possa leggere</translation>
    </message>
    <message>
        <source>the film does not say how large its picture is</source>
        <translation>il filmato non dice quanto è grande la sua immagine</translation>
    </message>
    <message>
        <source>the film has no sound</source>
        <translation>il filmato non ha sonoro</translation>
    </message>
    <message>
        <source>the hierarchy does not end</source>
        <translation>la gerarchia non finisce</translation>
    </message>
    <message>
        <source>the library cannot be read</source>
        <translation>la libreria non può essere letta</translation>
    </message>
    <message>
        <source>the library is damaged or is no library</source>
        <translation>la libreria è danneggiata o non è una libreria</translation>
    </message>
    <message>
        <source>the library stays where it was</source>
        <translation>la libreria resta dov&apos;era</translation>
    </message>
    <message>
        <source>the line drawn as the vertical or the horizon is too short</source>
        <translation>la linea tracciata come verticale o orizzonte è troppo corta</translation>
    </message>
    <message>
        <source>the number of frames cannot be true</source>
        <translation>il numero di fotogrammi non può essere vero</translation>
    </message>
    <message>
        <source>the number of frames or their time is missing</source>
        <translation>manca il numero di fotogrammi o il loro tempo</translation>
    </message>
    <message>
        <source>the numbers of points, frames or the rate cannot be true</source>
        <translation>i numeri di punti, fotogrammi o la frequenza non possono essere veri</translation>
    </message>
    <message>
        <source>the pictures have different sizes</source>
        <translation>le immagini hanno dimensioni diverse</translation>
    </message>
    <message>
        <source>the places of the fall lie at too few instants</source>
        <translation>le posizioni della caduta stanno su troppo pochi istanti</translation>
    </message>
    <message>
        <source>the row has more fields than the header</source>
        <translation>la riga ha più campi dell&apos;intestazione</translation>
    </message>
    <message>
        <source>the second reading must be later than the first</source>
        <translation>la seconda lettura deve essere successiva alla prima</translation>
    </message>
    <message>
        <source>the shared instants are the same one</source>
        <translation>gli istanti comuni sono lo stesso</translation>
    </message>
    <message>
        <source>the straight edges do not tell the lens</source>
        <translation>i bordi dritti non rivelano l&apos;obiettivo</translation>
    </message>
    <message>
        <source>the things do not differ, so agreement has nothing to show itself by</source>
        <translation>le cose non differiscono, quindi l&apos;accordo non ha modo di mostrarsi</translation>
    </message>
    <message>
        <source>the two series must be of one length</source>
        <translation>le due serie devono avere la stessa lunghezza</translation>
    </message>
    <message>
        <source>there is a library already</source>
        <translation>c&apos;è già una libreria</translation>
    </message>
    <message>
        <source>there is no such case in the bundle</source>
        <translation>nel pacchetto non c&apos;è un tale caso</translation>
    </message>
    <message>
        <source>there is no such file</source>
        <translation>non c&apos;è un tale file</translation>
    </message>
    <message>
        <source>there is nothing between these frames</source>
        <translation>fra questi fotogrammi non c&apos;è nulla</translation>
    </message>
    <message>
        <source>these points do not fix how the two cameras stand to one another</source>
        <translation>questi punti non fissano come stanno le due telecamere l&apos;una rispetto all&apos;altra</translation>
    </message>
    <message>
        <source>they run beyond the end of the file</source>
        <translation>vanno oltre la fine del file</translation>
    </message>
    <message>
        <source>this bundle holds more than a bundle may</source>
        <translation>questo pacchetto contiene più di quanto un pacchetto possa</translation>
    </message>
    <message>
        <source>this bundle is cut off</source>
        <translation>questo pacchetto è troncato</translation>
    </message>
    <message>
        <source>this bundle is damaged</source>
        <translation>questo pacchetto è danneggiato</translation>
    </message>
    <message>
        <source>this bundle is of a newer program</source>
        <translation>questo pacchetto è di un programma più recente</translation>
    </message>
    <message>
        <source>this computer&apos;s FFmpeg cannot read cameras</source>
        <translation>l&apos;FFmpeg di questo computer non legge telecamere</translation>
    </message>
    <message>
        <source>this is a folder</source>
        <translation>questa è una cartella</translation>
    </message>
    <message>
        <source>this is a folder without pictures, not a film</source>
        <translation>questa è una cartella senza immagini, non un filmato</translation>
    </message>
    <message>
        <source>this is no BVH file: it does not begin with HIERARCHY</source>
        <translation>questo non è un file BVH: non comincia con HIERARCHY</translation>
    </message>
    <message>
        <source>this is no C3D file</source>
        <translation>questo non è un file C3D</translation>
    </message>
    <message>
        <source>this is no TRC file: its head of five lines is missing</source>
        <translation>questo non è un file TRC: manca la sua intestazione di cinque righe</translation>
    </message>
    <message>
        <source>this is no bundle</source>
        <translation>questo non è un pacchetto</translation>
    </message>
    <message>
        <source>this is no calendar file</source>
        <translation>questo non è un file di calendario</translation>
    </message>
    <message>
        <source>this is no file that can be read</source>
        <translation>questo non è un file leggibile</translation>
    </message>
    <message>
        <source>this is no ordinary file</source>
        <translation>questo non è un file normale</translation>
    </message>
    <message>
        <source>this is not a film that can be read</source>
        <translation>questo non è un filmato leggibile</translation>
    </message>
    <message>
        <source>this is not a film, or its beginning or end is cut off</source>
        <translation>questo non è un filmato, oppure l&apos;inizio o la fine sono troncati</translation>
    </message>
    <message>
        <source>this is not a review</source>
        <translation>questo non è un commento</translation>
    </message>
    <message>
        <source>this user may not read the file</source>
        <translation>questo utente non può leggere il file</translation>
    </message>
    <message>
        <source>this user may not use the camera</source>
        <translation>questo utente non può usare la telecamera</translation>
    </message>
    <message>
        <source>three of the known points lie on one line</source>
        <translation>tre dei punti noti stanno su una retta</translation>
    </message>
    <message>
        <source>unplug it and plug it in again</source>
        <translation>scollegala e ricollegala</translation>
    </message>
    <message>
        <source>what is found cannot be kept</source>
        <translation>ciò che si trova non può essere conservato</translation>
    </message>
    <message>
        <source>what was there before is untouched</source>
        <translation>ciò che c&apos;era prima è intatto</translation>
    </message>
    <message>
        <source>cases</source>
        <translation>caso</translation>
    </message>
    <message>
        <source>athletes</source>
        <translation>atleta</translation>
    </message>
    <message>
        <source>takes</source>
        <translation>ripresa</translation>
    </message>
    <message>
        <source>reps</source>
        <translation>ripetizione</translation>
    </message>
    <message>
        <source>blocks</source>
        <translation>blocco di pratica</translation>
    </message>
    <message>
        <source>links</source>
        <translation>aggancio</translation>
    </message>
    <message>
        <source>repeats</source>
        <translation>marcatura ripetuta</translation>
    </message>
    <message>
        <source>decisions</source>
        <translation>decisione</translation>
    </message>
    <message>
        <source>planned</source>
        <translation>blocco del piano</translation>
    </message>
    <message>
        <source>notes</source>
        <translation>nota</translation>
    </message>
    <message numerus="yes">
        <source>draw %n more</source>
        <comment>draw %n more</comment>
        <translation>
            <numerusform>tracciane ancora %n</numerusform>
            <numerusform>tracciane ancora %n</numerusform>
        </translation>
    </message>
    <message>
        <source>saving</source>
        <translation>il salvataggio</translation>
    </message>
    <message>
        <source>writing</source>
        <translation>la scrittura</translation>
    </message>
</context>
<context>
    <name>findings</name>
    <message>
        <source>safety first; </source>
        <translation>prima la sicurezza; </translation>
    </message>
    <message>
        <source>severity %1 + consequences %2, times certainty %3, trainability %4, earliness %5 = %6</source>
        <translation>gravità %1 + conseguenze %2, per certezza %3, allenabilità %4, precocità %5 = %6</translation>
    </message>
    <message>
        <source>still there in this film</source>
        <translation>c&apos;è ancora in questo filmato</translation>
    </message>
    <message>
        <source>in this film too</source>
        <translation>anche in questo filmato</translation>
    </message>
    <message>
        <source>held: look again on %1</source>
        <translation>tenuto: riguarda il %1</translation>
    </message>
    <message>
        <source>this film cannot decide it</source>
        <translation>questo filmato non può deciderlo</translation>
    </message>
    <message>
        <source>seen by eye</source>
        <translation>visto a occhio</translation>
    </message>
    <message>
        <source>this film does not show it</source>
        <translation>questo filmato non lo mostra</translation>
    </message>
    <message>
        <source>good (%1)</source>
        <translation>buona (%1)</translation>
    </message>
    <message>
        <source>not yet good (%1)</source>
        <translation>non ancora buona (%1)</translation>
    </message>
    <message>
        <source>probably good (%1)</source>
        <translation>probabilmente buona (%1)</translation>
    </message>
    <message>
        <source>probably not yet good (%1)</source>
        <translation>probabilmente non ancora buona (%1)</translation>
    </message>
    <message>
        <source>own target</source>
        <translation>obiettivo proprio</translation>
    </message>
    <message>
        <source>own target: %1</source>
        <translation>obiettivo proprio: %1</translation>
    </message>
</context>
<context>
    <name>folder</name>
    <message>
        <source>Everything here opens with what any computer or telephone has.</source>
        <translation>Tutto ciò che è qui si apre con quello che ha ogni computer o telefono.</translation>
    </message>
    <message>
        <source>Pain, dizziness or a recent injury: stop, and see a physician or physiotherapist. The figures measure movement;
they do not diagnose.</source>
        <translation>Dolore, capogiri o un infortunio recente: fermati, e vai da un medico o da un fisioterapista. Le cifre misurano il movimento;
non fanno diagnosi.</translation>
    </message>
    <message>
        <source>The review as a film: what is good, the cause, what to do.</source>
        <translation>Il commento come filmato: che cosa è buono, la causa, che cosa fare.</translation>
    </message>
    <message>
        <source>The movement four times slower, you above the line, the model below.</source>
        <translation>Il movimento quattro volte più lento, tu sopra la linea, il modello sotto.</translation>
    </message>
    <message>
        <source>The report, to print.</source>
        <translation>Il rapporto, da stampare.</translation>
    </message>
    <message>
        <source>The same page for a browser, with the movement in it.</source>
        <translation>La stessa pagina per un browser, con dentro il movimento.</translation>
    </message>
    <message>
        <source>What you do at home in the next seven days, to tick by hand.</source>
        <translation>Che cosa fai a casa nei prossimi sette giorni, da spuntare a mano.</translation>
    </message>
    <message>
        <source>The same for a telephone.</source>
        <translation>Lo stesso per il telefono.</translation>
    </message>
    <message>
        <source>The plan for your calendar.</source>
        <translation>Il piano per il tuo calendario.</translation>
    </message>
    <message>
        <source>the review</source>
        <translation>il commento</translation>
    </message>
    <message>
        <source>the movement</source>
        <translation>il movimento</translation>
    </message>
    <message>
        <source>You above the line, the model below, four times slower</source>
        <translation>Tu sopra la linea, il modello sotto, quattro volte più lento</translation>
    </message>
    <message>
        <source>the report</source>
        <translation>il rapporto</translation>
    </message>
</context>
<context>
    <name>gate</name>
    <message>
        <source>Count %1 reps first.</source>
        <translation>Prima conta %1 ripetizioni.</translation>
    </message>
    <message>
        <source>%1: count %2 more before deciding.</source>
        <translation>%1: contane ancora %2 prima di decidere.</translation>
    </message>
    <message>
        <source>%1: step up.</source>
        <translation>%1: sali di un livello.</translation>
    </message>
    <message>
        <source>%1: make it easier, one stage down.</source>
        <translation>%1: rendilo più facile, un livello più in basso.</translation>
    </message>
    <message>
        <source>%1: stay, this is where it is learnt.</source>
        <translation>%1: resta, è qui che si impara.</translation>
    </message>
    <message>
        <source>%1: count %2 more before stepping up.</source>
        <translation>%1: contane ancora %2 prima di salire.</translation>
    </message>
    <message>
        <source>%1: count %2 more before stepping down.</source>
        <translation>%1: contane ancora %2 prima di scendere.</translation>
    </message>
</context>
<context>
    <name>lack</name>
    <message numerus="yes">
        <source>%n undecided</source>
        <comment>%n undecided</comment>
        <translation>
            <numerusform>%n non decisa</numerusform>
            <numerusform>%n non decise</numerusform>
        </translation>
    </message>
    <message>
        <source>athlete</source>
        <translation>atleta</translation>
    </message>
    <message>
        <source>minutes</source>
        <translation>minuti</translation>
    </message>
    <message>
        <source>guesses</source>
        <translation>stime</translation>
    </message>
    <message>
        <source>a film</source>
        <translation>un filmato</translation>
    </message>
    <message numerus="yes">
        <source>%n capture rates</source>
        <comment>%n capture rate</comment>
        <translation>
            <numerusform>%n frequenza di ripresa</numerusform>
            <numerusform>%n frequenze di ripresa</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n takes unmarked</source>
        <comment>%n take unmarked</comment>
        <translation>
            <numerusform>%n ripresa non marcata</numerusform>
            <numerusform>%n riprese non marcate</numerusform>
        </translation>
    </message>
    <message>
        <source>a model</source>
        <translation>un modello</translation>
    </message>
    <message>
        <source>a marked rep</source>
        <translation>una ripetizione marcata</translation>
    </message>
    <message>
        <source>a measured rep</source>
        <translation>una ripetizione misurata</translation>
    </message>
    <message>
        <source>a focus</source>
        <translation>un focus</translation>
    </message>
    <message>
        <source>a block</source>
        <translation>un blocco</translation>
    </message>
    <message>
        <source>a second date</source>
        <translation>una seconda data</translation>
    </message>
    <message>
        <source>findings</source>
        <translation>rilievi</translation>
    </message>
    <message>
        <source>a decision</source>
        <translation>una decisione</translation>
    </message>
    <message>
        <source>a kept plan</source>
        <translation>un piano tenuto</translation>
    </message>
</context>
<context>
    <name>landings</name>
    <message numerus="yes">
        <source>%n reps of films</source>
        <comment>%n rep of films</comment>
        <translation>
            <numerusform>%n ripetizione dei filmati</numerusform>
            <numerusform>%n ripetizioni dei filmati</numerusform>
        </translation>
    </message>
    <message>
        <source>Nothing landed yet.</source>
        <translation>Ancora nessun arrivo.</translation>
    </message>
    <message>
        <source>%1 of %2 in the zone (%3 to %4 %)</source>
        <translation>%1 su %2 nella zona (da %3 a %4 %)</translation>
    </message>
    <message>
        <source> and </source>
        <translation> e </translation>
    </message>
    <message>
        <source>to the right</source>
        <translation>verso destra</translation>
    </message>
    <message>
        <source>to the left</source>
        <translation>verso sinistra</translation>
    </message>
    <message>
        <source>high</source>
        <translation>in alto</translation>
    </message>
    <message>
        <source>low</source>
        <translation>in basso</translation>
    </message>
    <message>
        <source>; on the average %1</source>
        <translation>; in media %1</translation>
    </message>
</context>
<context>
    <name>landmark</name>
    <message>
        <source>left %1</source>
        <translation>%1 (sin.)</translation>
    </message>
    <message>
        <source>right %1</source>
        <translation>%1 (des.)</translation>
    </message>
    <message>
        <source>other&apos;s %1</source>
        <translation>%1 dell&apos;altro</translation>
    </message>
    <message>
        <source>athlete</source>
        <translation>atleta</translation>
    </message>
    <message>
        <source>second person</source>
        <translation>seconda persona</translation>
    </message>
    <message>
        <source>person %1</source>
        <translation>persona %1</translation>
    </message>
    <message>
        <source>person %1&apos;s %2</source>
        <translation>%2 della persona %1</translation>
    </message>
</context>
<context>
    <name>library</name>
    <message>
        <source>before format %1, %2</source>
        <translation>prima del formato %1, %2</translation>
    </message>
    <message>
        <source>case %1 (%2): %3 takes, %4 reps, %5 marks, %6 blocks of practice</source>
        <translation>caso %1 (%2): %3 riprese, %4 ripetizioni, %5 segni, %6 blocchi di pratica</translation>
    </message>
    <message>
        <source>stays where it is: %1</source>
        <translation>resta dov&apos;è: %1</translation>
    </message>
    <message>
        <source>film %1</source>
        <translation>filmato %1</translation>
    </message>
    <message>
        <source>the recorded review of case %1</source>
        <translation>il commento registrato del caso %1</translation>
    </message>
    <message>
        <source>the films of reps in practice of case %1</source>
        <translation>i filmati delle ripetizioni in pratica del caso %1</translation>
    </message>
</context>
<context>
    <name>measure</name>
    <message>
        <source>the capture rate of this take is not set, so no speed can be read</source>
        <translation>la frequenza di ripresa non è fissata, perciò non si può leggere nessuna velocità</translation>
    </message>
    <message>
        <source>%1 does not move clearly more than its marks are unsure</source>
        <translation>%1 non si muove nettamente più di quanto i suoi segni siano incerti</translation>
    </message>
    <message>
        <source>read from a filled gap, in part</source>
        <translation>letto in parte da una lacuna riempita</translation>
    </message>
    <message>
        <source>“%1” does not lie after “%2”</source>
        <translation>«%1» non sta dopo «%2»</translation>
    </message>
    <message>
        <source>the two are never in front at the same time</source>
        <translation>i due non sono mai davanti nello stesso momento</translation>
    </message>
    <message>
        <source>the capture rate of this take is not set, so no time can be read</source>
        <translation>la frequenza di ripresa non è fissata, perciò non si può leggere nessun tempo</translation>
    </message>
    <message>
        <source>the segment that is its unit of length is not marked</source>
        <translation>il segmento che fa da unità di lunghezza non è marcato</translation>
    </message>
    <message>
        <source>no landing of the first foot is seen</source>
        <translation>non si vede nessun appoggio del primo piede</translation>
    </message>
    <message>
        <source>no landing of the second foot is seen</source>
        <translation>non si vede nessun appoggio del secondo piede</translation>
    </message>
    <message>
        <source>needs a view %1</source>
        <translation>serve una vista %1</translation>
    </message>
    <message>
        <source>this view cannot show the direction “%1”</source>
        <translation>questa vista non può mostrare la direzione «%1»</translation>
    </message>
    <message>
        <source>the measures that it compares are not known</source>
        <translation>le misure che confronta non sono note</translation>
    </message>
    <message>
        <source>the reference is hardly different from 0: no share of it can be told</source>
        <translation>il riferimento è quasi 0: non se ne può dire una parte</translation>
    </message>
    <message>
        <source>the measure that should come back is not known</source>
        <translation>la misura che dovrebbe tornare non è nota</translation>
    </message>
    <message>
        <source>it is not back before “%1”</source>
        <translation>non è tornata prima di «%1»</translation>
    </message>
    <message>
        <source>not judged by eye yet</source>
        <translation>non ancora giudicato a occhio</translation>
    </message>
    <message>
        <source>its score is not noted</source>
        <translation>il suo punteggio non è annotato</translation>
    </message>
    <message>
        <source>whether it worked is not noted</source>
        <translation>non è annotato se ha funzionato</translation>
    </message>
    <message>
        <source>situation or choice is not noted, or no rule tells</source>
        <translation>situazione o scelta non sono annotate, o nessuna regola lo dice</translation>
    </message>
    <message>
        <source>it is read over several reps</source>
        <translation>si legge su più ripetizioni</translation>
    </message>
    <message>
        <source>key position “%1” is not placed</source>
        <translation>la posizione chiave «%1» non è posta</translation>
    </message>
    <message>
        <source>only this frame is marked: the error of the instant is not counted</source>
        <translation>è marcato solo questo fotogramma: l&apos;errore dell&apos;istante non è contato</translation>
    </message>
    <message>
        <source>read from a filled gap</source>
        <translation>letto da una lacuna riempita</translation>
    </message>
    <message>
        <source>metres need a known length on a frame of this take</source>
        <translation>per i metri serve una lunghezza nota su un fotogramma di questa ripresa</translation>
    </message>
    <message>
        <source>draw one in Footage</source>
        <translation>tracciane una in Filmati</translation>
    </message>
    <message>
        <source>%1 is not marked</source>
        <translation>%1 non è marcato</translation>
    </message>
    <message>
        <source>frame %1</source>
        <translation>fotogramma %1</translation>
    </message>
    <message>
        <source>its speed cannot be read: no frame beside it is marked</source>
        <translation>la sua velocità non si può leggere: nessun fotogramma accanto è marcato</translation>
    </message>
    <message>
        <source>two marks of this measure lie on one another</source>
        <translation>due segni di questa misura stanno l&apos;uno sull&apos;altro</translation>
    </message>
    <message>
        <source>it does not move clearly more than its marks are unsure</source>
        <translation>non si muove nettamente più di quanto i suoi segni siano incerti</translation>
    </message>
    <message>
        <source>it never rises above 0</source>
        <translation>non sale mai sopra 0</translation>
    </message>
    <message>
        <source>its unit of length is not marked</source>
        <translation>la sua unità di lunghezza non è marcata</translation>
    </message>
    <message>
        <source>more than four points cannot be answered together</source>
        <translation>più di quattro punti non hanno una risposta comune</translation>
    </message>
    <message>
        <source>there must be as many points on the second frame as on the first</source>
        <translation>sul secondo fotogramma devono esserci tanti punti quanti sul primo</translation>
    </message>
    <message>
        <source>a click&apos;s error is a number from 0 on</source>
        <translation>l&apos;errore di un clic è un numero da 0 in su</translation>
    </message>
    <message>
        <source>a point&apos;s place must be two numbers</source>
        <translation>la posizione di un punto deve essere di due numeri</translation>
    </message>
    <message>
        <source>as seen from here one stands behind the other: film from the side of both</source>
        <translation>visti da qui uno sta dietro l&apos;altro: filma di lato a entrambi</translation>
    </message>
    <message>
        <source>the line is wider than its full width: the full width or the segment is wrong</source>
        <translation>la linea è più larga della sua larghezza piena: è sbagliata la larghezza piena o il segmento</translation>
    </message>
    <message>
        <source>this film is too slow: smoothness is read from what happens up to 10 times a second</source>
        <translation>questo filmato è troppo lento: la fluidità si legge da ciò che accade fino a 10 volte al secondo</translation>
    </message>
    <message>
        <source>jerks cannot be told from errors of its marks: film it larger or mark it more closely</source>
        <translation>gli scatti non si distinguono dagli errori dei segni: filma più da vicino o marca più fitto</translation>
    </message>
    <message>
        <source>the two ends of the body&apos;s axis lie on one another</source>
        <translation>i due estremi dell&apos;asse del corpo stanno l&apos;uno sull&apos;altro</translation>
    </message>
    <message>
        <source>the edge lies further off the axis than its full width: the full width or the segment is wrong</source>
        <translation>il bordo è più lontano dall&apos;asse della sua larghezza intera: la larghezza o il segmento è sbagliato</translation>
    </message>
    <message>
        <source>from here the turn about this axis cannot be seen: the edge lies as far out as it can, or the axis points at the camera; film from another side</source>
        <translation>da qui la rotazione attorno a questo asse non si vede: il bordo è tutto in fuori, o l&apos;asse punta verso la telecamera; filma da un altro lato</translation>
    </message>
    <message>
        <source>the edge lies as far out as it can: from here its rate cannot be seen</source>
        <translation>il bordo è tutto in fuori: da qui la sua velocità non si vede</translation>
    </message>
    <message>
        <source>only %1 of %2 frames can be read</source>
        <translation>si leggono solo %1 di %2 fotogrammi</translation>
    </message>
    <message>
        <source>only %1 of %2 frames can be read (%3)</source>
        <translation>si leggono solo %1 di %2 fotogrammi (%3)</translation>
    </message>
    <message>
        <source>fewer than %1 frames just before “%2” can be read</source>
        <translation>si leggono meno di %1 fotogrammi subito prima di «%2»</translation>
    </message>
</context>
<context>
    <name>next</name>
    <message>
        <source>No rep could be read: cut one by hand and place its key positions.</source>
        <translation>Nessuna ripetizione si è potuta leggere: tagliane una a mano e poni le sue posizioni chiave.</translation>
    </message>
    <message numerus="yes">
        <source>%n strengths</source>
        <comment>%n strength</comment>
        <translation>
            <numerusform>%n punto forte</numerusform>
            <numerusform>%n punti forti</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n clear faults</source>
        <comment>%n clear fault</comment>
        <translation>
            <numerusform>%n difetto chiaro</numerusform>
            <numerusform>%n difetti chiari</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>: %n looks would decide up to %1 of them</source>
        <comment>: %n look would decide up to %1 of them</comment>
        <translation>
            <numerusform>: %n sguardo ne deciderebbe fino a %1</numerusform>
            <numerusform>: %n sguardi ne deciderebbero fino a %1</numerusform>
        </translation>
    </message>
    <message>
        <source>Write down who the athlete is</source>
        <translation>Scrivi chi è l&apos;atleta</translation>
    </message>
    <message>
        <source>Bring in a film of the athlete</source>
        <translation>Porta un filmato dell&apos;atleta</translation>
    </message>
    <message>
        <source>Set the capture rate of %1</source>
        <translation>Fissa la frequenza di ripresa di %1</translation>
    </message>
    <message>
        <source>Place the key positions of %1</source>
        <translation>Poni le posizioni chiave di %1</translation>
    </message>
    <message>
        <source>Place %1 in rep %2 of %3</source>
        <translation>Poni %1 nella ripetizione %2 di %3</translation>
    </message>
    <message numerus="yes">
        <source>Mark %n points at %1 of rep %2, %3</source>
        <comment>Mark %n point at %1 of rep %2, %3</comment>
        <translation>
            <numerusform>Marca %n punto a %1 della ripetizione %2, %3</numerusform>
            <numerusform>Marca %n punti a %1 della ripetizione %2, %3</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>Check %n frames of rep %1 until every measure can be decided</source>
        <comment>Check %n frame of rep %1 until every measure can be decided</comment>
        <translation>
            <numerusform>Controlla %n fotogramma della ripetizione %1 perché ogni misura si possa decidere</numerusform>
            <numerusform>Controlla %n fotogrammi della ripetizione %1 perché ogni misura si possa decidere</numerusform>
        </translation>
    </message>
    <message>
        <source>Bring in a model performance to compare with</source>
        <translation>Porta una prestazione modello con cui confrontare</translation>
    </message>
    <message>
        <source>Count %1 more reps of %2</source>
        <translation>Conta ancora %1 ripetizioni di %2</translation>
    </message>
    <message>
        <source>Read why %1 comes first</source>
        <translation>Leggi perché %1 viene per primo</translation>
    </message>
    <message>
        <source>See what would decide %1</source>
        <translation>Guarda che cosa deciderebbe %1</translation>
    </message>
    <message>
        <source>Hand over the report</source>
        <translation>Consegna il rapporto</translation>
    </message>
    <message numerus="yes">
        <source>Accept or correct %n key positions of rep %1, %2</source>
        <comment>Accept or correct %n key position of rep %1, %2</comment>
        <translation>
            <numerusform>Accetta o correggi %n posizione chiave della ripetizione %1, %2</numerusform>
            <numerusform>Accetta o correggi %n posizioni chiave della ripetizione %1, %2</numerusform>
        </translation>
    </message>
    <message>
        <source>Film again: does %1 still hold?</source>
        <translation>Filma di nuovo: %1 tiene ancora?</translation>
    </message>
    <message numerus="yes">
        <source>Film again: %n days of practice since the last film</source>
        <comment>Film again: %n day of practice since the last film</comment>
        <translation>
            <numerusform>Filma di nuovo: %n giorno di pratica dall&apos;ultimo filmato</numerusform>
            <numerusform>Filma di nuovo: %n giorni di pratica dall&apos;ultimo filmato</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>Practise %1 and %n more</source>
        <comment>Practise %1 and %n more</comment>
        <translation>
            <numerusform>Pratica: %1 e ancora %n</numerusform>
            <numerusform>Pratica: %1 e altri %n</numerusform>
        </translation>
    </message>
    <message>
        <source>Practise %1</source>
        <translation>Pratica: %1</translation>
    </message>
    <message>
        <source>%1 on %2</source>
        <translation>%1, %2</translation>
    </message>
    <message>
        <source>Say on which days there is time for practice</source>
        <translation>Di&apos; in quali giorni c&apos;è tempo per la pratica</translation>
    </message>
    <message>
        <source>See why no practice fits for %1</source>
        <translation>Vedi perché la pratica per %1 non trova posto</translation>
    </message>
    <message>
        <source>Keep a plan for %1</source>
        <translation>Tieni un piano per %1</translation>
    </message>
</context>
<context>
    <name>peg</name>
    <message>
        <source>its points are hidden or unmarked just there</source>
        <translation>proprio lì i suoi punti sono nascosti o non marcati</translation>
    </message>
    <message>
        <source>nothing moves that way</source>
        <translation>nulla si muove così</translation>
    </message>
    <message>
        <source>it does not move clearly more than the marks are unsure</source>
        <translation>non si muove nettamente più di quanto i segni siano incerti</translation>
    </message>
    <message>
        <source>the movement is over in too few frames</source>
        <translation>il movimento finisce in troppo pochi fotogrammi</translation>
    </message>
    <message>
        <source>the movement is small against the error of the marks</source>
        <translation>il movimento è piccolo rispetto all&apos;errore dei segni</translation>
    </message>
    <message>
        <source>the movement does not come to rest before the rep ends</source>
        <translation>il movimento non si ferma prima della fine della ripetizione</translation>
    </message>
    <message>
        <source>the movement is under way when the rep begins</source>
        <translation>il movimento è già in corso quando comincia la ripetizione</translation>
    </message>
    <message>
        <source>nothing breaks away or stops</source>
        <translation>nulla si stacca o si ferma</translation>
    </message>
    <message>
        <source>the film is too slow to show the bend</source>
        <translation>il filmato è troppo lento per mostrare la piega</translation>
    </message>
    <message>
        <source>the bend is small against the error of the marks</source>
        <translation>la piega è piccola rispetto all&apos;errore dei segni</translation>
    </message>
    <message>
        <source>the bend lies at the edge of what was looked at</source>
        <translation>la piega sta al margine di ciò che si è guardato</translation>
    </message>
    <message>
        <source>the greatest value lies at the end of what was looked at</source>
        <translation>il valore più grande sta alla fine di ciò che si è guardato</translation>
    </message>
    <message>
        <source>the curve has no clear top</source>
        <translation>la curva non ha una cima netta</translation>
    </message>
    <message>
        <source>the top is flat: any of several frames could be it</source>
        <translation>la cima è piatta: potrebbe essere uno qualunque di più fotogrammi</translation>
    </message>
    <message>
        <source>the level is not crossed</source>
        <translation>il livello non è attraversato</translation>
    </message>
    <message>
        <source>the %1 is not marked on enough frames</source>
        <translation>%1 non è marcato su abbastanza fotogrammi</translation>
    </message>
    <message>
        <source>its points are not marked together on enough frames</source>
        <translation>i suoi punti non sono marcati insieme su abbastanza fotogrammi</translation>
    </message>
    <message>
        <source>no strike is heard there</source>
        <translation>lì non si sente nessun colpo</translation>
    </message>
    <message>
        <source>what is heard lies far from what is seen</source>
        <translation>ciò che si sente è lontano da ciò che si vede</translation>
    </message>
    <message>
        <source>the curve leaves several frames open</source>
        <translation>la curva lascia aperti più fotogrammi</translation>
    </message>
    <message>
        <source>it rests on a draft: look at the frame</source>
        <translation>poggia su una bozza: guarda il fotogramma</translation>
    </message>
    <message>
        <source>“%1”, on which it leans, is unsure</source>
        <translation>«%1», su cui si appoggia, è incerta</translation>
    </message>
    <message>
        <source>it comes out before “%1”</source>
        <translation>risulta prima di «%1»</translation>
    </message>
    <message>
        <source>the position it leans on was not found</source>
        <translation>la posizione su cui si appoggia non è stata trovata</translation>
    </message>
</context>
<context>
    <name>plan</name>
    <message>
        <source>1 minute</source>
        <translation>1 minuto</translation>
    </message>
    <message>
        <source>%1 minutes</source>
        <translation>%1 minuti</translation>
    </message>
    <message>
        <source>a competition; nothing is practised that day</source>
        <translation>una gara; quel giorno non si pratica nulla</translation>
    </message>
    <message>
        <source>a day of rest, the brief gives it no minutes</source>
        <translation>un giorno di riposo, l&apos;incontro non gli dà minuti</translation>
    </message>
    <message>
        <source>%1 is there, </source>
        <translation>c&apos;è %1, </translation>
    </message>
    <message>
        <source>%1 are there, </source>
        <translation>ci sono %1, </translation>
    </message>
    <message numerus="yes">
        <source>these %n blocks need %1</source>
        <comment>this block needs %1</comment>
        <translation>
            <numerusform>questo blocco ne chiede %1</numerusform>
            <numerusform>questi %n blocchi ne chiedono %1</numerusform>
        </translation>
    </message>
    <message>
        <source>%1 is banned for this athlete</source>
        <translation>%1 è escluso per questo atleta</translation>
    </message>
    <message>
        <source>%1 needs a partner, who is not there</source>
        <translation>%1 richiede un compagno, che non c&apos;è</translation>
    </message>
    <message>
        <source>%1 is of the stage “%2”; practice has come to “%3” by then</source>
        <translation>%1 è del livello «%2»; per allora la pratica è arrivata a «%3»</translation>
    </message>
    <message>
        <source>%1 would be new in a time of competitions</source>
        <translation>%1 sarebbe nuovo in tempo di gare</translation>
    </message>
    <message>
        <source>%1 would be new within two weeks of a competition</source>
        <translation>%1 sarebbe nuovo a meno di due settimane da una gara</translation>
    </message>
    <message>
        <source>%1 is there twice</source>
        <translation>%1 c&apos;è due volte</translation>
    </message>
    <message>
        <source>two things to do at home on one day</source>
        <translation>due cose da fare a casa in un giorno</translation>
    </message>
    <message>
        <source>%1 at once; little and often means %2 at most</source>
        <translation>%1 in una volta; poco e spesso significa %2 al massimo</translation>
    </message>
    <message>
        <source>session %1 in seven days; “%2” means %3</source>
        <translation>seduta %1 in sette giorni; «%2» ne prevede %3</translation>
    </message>
    <message>
        <source>%1 days after the last session; “%2” wants %3</source>
        <translation>%1 giorni dopo l&apos;ultima seduta; «%2» ne vuole %3</translation>
    </message>
    <message>
        <source>technique takes %1 minutes of this week, %2 are its share</source>
        <translation>la tecnica prende %1 minuti di questa settimana, la sua parte è %2</translation>
    </message>
    <message>
        <source>full speed on two days running</source>
        <translation>velocità piena in due giorni di fila</translation>
    </message>
    <message>
        <source>a third thing to work on; two at most</source>
        <translation>una terza cosa a cui lavorare; due al massimo</translation>
    </message>
    <message>
        <source>%1 to %2</source>
        <translation>da %1 a %2</translation>
    </message>
    <message>
        <source>leave %1 out</source>
        <translation>lasciare fuori %1</translation>
    </message>
    <message>
        <source>beside the technique</source>
        <translation>accanto alla tecnica</translation>
    </message>
    <message>
        <source>laid by hand</source>
        <translation>posto a mano</translation>
    </message>
    <message>
        <source>two minutes a day at home</source>
        <translation>due minuti al giorno a casa</translation>
    </message>
    <message>
        <source>fits the %1 minutes of this day</source>
        <translation>sta nei %1 minuti di questo giorno</translation>
    </message>
    <message>
        <source>a forecast: only when the gate below agrees</source>
        <translation>una previsione: solo se la soglia sotto consente</translation>
    </message>
    <message>
        <source>right and wrong felt side by side, early</source>
        <translation>giusto e sbagliato sentiti fianco a fianco, presto</translation>
    </message>
    <message>
        <source>known before; attention goes to the target</source>
        <translation>già noto; l&apos;attenzione va al bersaglio</translation>
    </message>
    <message>
        <source>No focus yet: mark a rep and read the findings first.</source>
        <translation>Ancora nessun focus: prima marca una ripetizione e leggi i rilievi.</translation>
    </message>
    <message>
        <source>The athlete does not want to rebuild this now. Talk first: without agreement there is one trial week, strengths, or another focus.</source>
        <translation>L&apos;atleta ora non vuole ricostruirlo. Prima parlatene: senza accordo c&apos;è una settimana di prova, i punti forti, o un altro focus.</translation>
    </message>
    <message>
        <source>The blueprint has no drill for this focus: add one in the workshop.</source>
        <translation>La scheda non ha esercizi per questo focus: aggiungine uno nell&apos;officina.</translation>
    </message>
    <message>
        <source>The brief gives no minutes on any weekday: enter the minutes the athlete will really give.</source>
        <translation>L&apos;incontro non dà minuti in nessun giorno: scrivi i minuti che l&apos;atleta darà davvero.</translation>
    </message>
    <message>
        <source>Competition on %1: nothing new in the two weeks before it. What is owned goes on, with attention on the target: trial, not repair.</source>
        <translation>Gara il %1: nulla di nuovo nelle due settimane prima. Ciò che è posseduto continua, con l&apos;attenzione al bersaglio: prova, non riparazione.</translation>
    </message>
    <message>
        <source>No drill fits the minutes of any day: give one day more minutes.</source>
        <translation>Nessun esercizio sta nei minuti di un giorno: dai più minuti a un giorno.</translation>
    </message>
    <message>
        <source>Every day of these weeks lies within two weeks of a competition and nothing is owned yet: wait, or relax that rule knowingly.</source>
        <translation>Ogni giorno di queste settimane è a meno di due settimane da una gara e nulla è ancora posseduto: aspetta, o allenta la regola consapevolmente.</translation>
    </message>
    <message>
        <source>It hurts now (%1): nothing is planned for it. Have it looked at by a doctor or a physiotherapist first.</source>
        <translation>Adesso fa male (%1): per questo non si programma niente. Prima falla vedere a un medico o a un fisioterapista.</translation>
    </message>
    <message>
        <source>beside the technique, for the %1</source>
        <translation>accanto alla tecnica, per: %1</translation>
    </message>
    <message>
        <source>moved from %1</source>
        <translation>spostato da %1</translation>
    </message>
    <message>
        <source>instead of %1</source>
        <translation>al posto di %1</translation>
    </message>
    <message>
        <source>by %1</source>
        <translation>di %1</translation>
    </message>
    <message>
        <source>%1 (%2)</source>
        <translation>%1 (%2)</translation>
    </message>
    <message>
        <source>%1 cannot be done at home</source>
        <translation>%1 non si può fare a casa</translation>
    </message>
    <message>
        <source>%1 needs what is not at home: %2</source>
        <translation>a %1 serve ciò che a casa non c&apos;è: %2</translation>
    </message>
    <message>
        <source>%1 needs what is not at hand: %2</source>
        <translation>a %1 serve ciò che non c&apos;è: %2</translation>
    </message>
    <message>
        <source>No drill for this fits the places, the equipment and the partner that are there, or all are banned: change that in the brief.</source>
        <translation>Per questo nessun esercizio va bene per i luoghi, l&apos;attrezzatura e il compagno che ci sono, o sono tutti esclusi: cambialo nell&apos;Incontro.</translation>
    </message>
</context>
<context>
    <name>practice</name>
    <message>
        <source>something else</source>
        <translation>qualcos&apos;altro</translation>
    </message>
</context>
<context>
    <name>problem</name>
    <message>
        <source>causes run in a circle: %1</source>
        <translation>le cause girano in tondo: %1</translation>
    </message>
    <message>
        <source>a measure of kind %1 needs %2 points, not %3</source>
        <translation>una misura di tipo %1 richiede %2 punti, non %3</translation>
    </message>
    <message>
        <source>a measure of kind %1 needs %2 to %3 points, not %4</source>
        <translation>una misura di tipo %1 richiede da %2 a %3 punti, non %4</translation>
    </message>
    <message>
        <source>a measure of kind %1 has no aspect %2</source>
        <translation>una misura di tipo %1 non ha l&apos;aspetto %2</translation>
    </message>
    <message>
        <source>a measure of kind %1 needs “full_width”, in lengths of its “per” segment</source>
        <translation>una misura di tipo %1 richiede «full_width», in lunghezze del suo segmento «per»</translation>
    </message>
    <message>
        <source>a measure of kind %1 is not read from others</source>
        <translation>una misura di tipo %1 non si legge da altre</translation>
    </message>
    <message numerus="yes">
        <source>a measure of kind %1 needs %n other measures in “of”</source>
        <comment>a measure of kind %1 needs %n other measure in “of”</comment>
        <translation>
            <numerusform>una misura di tipo %1 richiede %n altra misura in «of»</numerusform>
            <numerusform>una misura di tipo %1 richiede altre %n misure in «of»</numerusform>
        </translation>
    </message>
    <message>
        <source>“%1” is of kind %2, which cannot be read on</source>
        <translation>«%1» è di tipo %2, da cui non si può leggere altro</translation>
    </message>
    <message>
        <source>“%1” and “%2” have different units</source>
        <translation>«%1» e «%2» hanno unità diverse</translation>
    </message>
    <message>
        <source>from above and from below nothing shows what is upright</source>
        <translation>dall&apos;alto e dal basso nulla mostra che cosa è verticale</translation>
    </message>
    <message>
        <source>a measure of kind %1 has no reduction: it is one value already</source>
        <translation>una misura di tipo %1 non ha riduzione: è già un solo valore</translation>
    </message>
    <message>
        <source>only an angle or a between can be read with its sign</source>
        <translation>solo un angolo o un angolo fra segmenti si legge con il segno</translation>
    </message>
    <message>
        <source>“per” needs two points, the ends of the segment</source>
        <translation>«per» richiede due punti, gli estremi del segmento</translation>
    </message>
    <message>
        <source>only lengths and speeds without “per” can be in metres</source>
        <translation>solo lunghezze e velocità senza «per» possono essere in metri</translation>
    </message>
    <message>
        <source>a measure of kind %1 needs a “direction”: forward, up or across</source>
        <translation>una misura di tipo %1 richiede una «direction»: avanti, su o di traverso</translation>
    </message>
    <message>
        <source>“forward” can be seen from the side, from above or from below only</source>
        <translation>«forward» si vede solo di lato, dall&apos;alto o dal basso</translation>
    </message>
    <message>
        <source>“across” cannot be seen from the side</source>
        <translation>«across» non si vede di lato</translation>
    </message>
    <message>
        <source>a lean is read against the vertical: its direction is forward or across</source>
        <translation>un&apos;inclinazione si legge rispetto alla verticale: la sua direzione è avanti o di traverso</translation>
    </message>
    <message>
        <source>a chain needs two “links” or more</source>
        <translation>una catena richiede due o più «links»</translation>
    </message>
    <message>
        <source>a link is one point, a segment of two or a joint of three</source>
        <translation>un anello è un punto, un segmento di due o un&apos;articolazione di tre</translation>
    </message>
    <message>
        <source>“cycles” must be positive</source>
        <translation>«cycles» deve essere positivo</translation>
    </message>
    <message>
        <source>a third point needs the “direction” in which the two are in front of it</source>
        <translation>un terzo punto richiede la «direction» in cui i due gli stanno davanti</translation>
    </message>
    <message>
        <source>an overlap needs four “events”: first on, first off, second on, second off</source>
        <translation>una sovrapposizione richiede quattro «events»: inizio e fine del primo, inizio e fine del secondo</translation>
    </message>
    <message>
        <source>contacts need the “level” of speed and the “height” below which a foot stands</source>
        <translation>i contatti richiedono il «level» di velocità e la «height» sotto cui un piede poggia</translation>
    </message>
    <message>
        <source>a recovery needs the band “lo” to “hi” in which it is back</source>
        <translation>un recupero richiede la fascia da «lo» a «hi» in cui è tornato</translation>
    </message>
    <message>
        <source>“%1” has no value on a single frame, so nothing can come back</source>
        <translation>«%1» non ha un valore su un singolo fotogramma, quindi nulla può tornare</translation>
    </message>
    <message>
        <source>a measure of kind seen needs its “checkpoint”</source>
        <translation>una misura a occhio richiede il suo «checkpoint»</translation>
    </message>
    <message>
        <source>a stack against its own line needs three points or more</source>
        <translation>un allineamento contro la propria linea richiede tre o più punti</translation>
    </message>
    <message>
        <source>a stack needs two points or more, the support first</source>
        <translation>un allineamento richiede due o più punti, prima l&apos;appoggio</translation>
    </message>
    <message>
        <source>how far off a line needs the “direction” that is above zero</source>
        <translation>la distanza da una linea richiede la «direction» che sta sopra lo zero</translation>
    </message>
    <message>
        <source>a dwell needs the “level” of speed below which it counts</source>
        <translation>una sosta richiede il «level» di velocità sotto cui conta</translation>
    </message>
    <message>
        <source>a ratio of times needs two “events”: the beginning and the end of the time that it is compared with</source>
        <translation>un rapporto fra tempi richiede due «events»: l&apos;inizio e la fine del tempo con cui si confronta</translation>
    </message>
    <message>
        <source>the rate of a twist cannot be read from the frames before a contact alone</source>
        <translation>la rapidità di una torsione non si legge dai soli fotogrammi prima di un contatto</translation>
    </message>
    <message>
        <source>the second cue needs two points</source>
        <translation>il secondo indizio richiede due punti</translation>
    </message>
    <message>
        <source>a turn with a second cue needs the “direction” along which it leads</source>
        <translation>una rotazione con un secondo indizio richiede la «direction» lungo cui guida</translation>
    </message>
    <message>
        <source>is empty</source>
        <translation>è vuoto</translation>
    </message>
    <message>
        <source>may hold letters, digits, - and _ only</source>
        <translation>può contenere solo lettere, cifre, - e _</translation>
    </message>
    <message>
        <source>a technique has 2 to 10 key positions</source>
        <translation>una tecnica ha da 2 a 10 posizioni chiave</translation>
    </message>
    <message>
        <source>sets, reps and minutes must be positive</source>
        <translation>serie, ripetizioni e minuti devono essere positivi</translation>
    </message>
    <message>
        <source>no key position “%1”</source>
        <translation>nessuna posizione chiave «%1»</translation>
    </message>
    <message>
        <source>needs three different landmarks</source>
        <translation>richiede tre segni del corpo diversi</translation>
    </message>
    <message>
        <source>a situation without a right choice cannot be judged</source>
        <translation>una situazione senza una scelta giusta non si può giudicare</translation>
    </message>
    <message>
        <source>no measure “%1”</source>
        <translation>nessuna misura «%1»</translation>
    </message>
    <message>
        <source>a limit is read from a measure of one rep</source>
        <translation>un limite si legge da una misura di una ripetizione</translation>
    </message>
    <message>
        <source>a profile is made of two faults or more</source>
        <translation>un profilo è fatto di due o più difetti</translation>
    </message>
    <message>
        <source>no fault “%1”</source>
        <translation>nessun difetto «%1»</translation>
    </message>
    <message>
        <source>“%1” is used twice</source>
        <translation>«%1» è usato due volte</translation>
    </message>
    <message>
        <source>landmark “%1” is not in the list of landmarks</source>
        <translation>il punto «%1» non è nell&apos;elenco dei segni del corpo</translation>
    </message>
    <message numerus="yes">
        <source>this series needs %n points</source>
        <comment>this series needs %n point</comment>
        <translation>
            <numerusform>questa serie richiede %n punto</numerusform>
            <numerusform>questa serie richiede %n punti</numerusform>
        </translation>
    </message>
    <message>
        <source>a place needs a direction</source>
        <translation>una posizione richiede una direzione</translation>
    </message>
    <message>
        <source>no other key position “%1”</source>
        <translation>nessun&apos;altra posizione chiave «%1»</translation>
    </message>
    <message>
        <source>must be between 0 and 1</source>
        <translation>deve stare fra 0 e 1</translation>
    </message>
    <message>
        <source>no other measure “%1”</source>
        <translation>nessun&apos;altra misura «%1»</translation>
    </message>
    <message>
        <source>no checkpoint “%1”</source>
        <translation>nessun punto di controllo «%1»</translation>
    </message>
    <message>
        <source>a measure without a target cannot be judged</source>
        <translation>una misura senza obiettivo non si può giudicare</translation>
    </message>
    <message>
        <source>lo must be below hi</source>
        <translation>lo deve stare sotto hi</translation>
    </message>
    <message>
        <source>must be positive</source>
        <translation>deve essere positivo</translation>
    </message>
    <message>
        <source>no school “%1”</source>
        <translation>nessuna scuola «%1»</translation>
    </message>
    <message>
        <source>no situation “%1”</source>
        <translation>nessuna situazione «%1»</translation>
    </message>
    <message>
        <source>a fault without an indicator can never be found</source>
        <translation>un difetto senza indicatore non si può mai trovare</translation>
    </message>
    <message>
        <source>must be above 0 and at most 1</source>
        <translation>deve stare sopra 0 e al massimo 1</translation>
    </message>
    <message>
        <source>a fault without a drill cannot be worked on</source>
        <translation>su un difetto senza esercizio non si può lavorare</translation>
    </message>
    <message>
        <source>no drill “%1”</source>
        <translation>nessun esercizio «%1»</translation>
    </message>
</context>
<context>
    <name>progress</name>
    <message>
        <source>%1 good of %2</source>
        <translation>%1 buone su %2</translation>
    </message>
    <message>
        <source>From fewer than three dates nothing can be told.</source>
        <translation>Da meno di tre date non si può dire nulla.</translation>
    </message>
    <message>
        <source>It changed at once, by %1 ± %2, most likely by %3 (%4 to %5).</source>
        <translation>È cambiato di colpo, di %1 ± %2, molto probabilmente entro il %3 (da %4 a %5).</translation>
    </message>
    <message>
        <source>It changed at once, by %1 ± %2, most likely by %3.</source>
        <translation>È cambiato di colpo, di %1 ± %2, molto probabilmente entro il %3.</translation>
    </message>
    <message>
        <source>It moved little by little, by %1 ± %2 in %3 days.</source>
        <translation>Si è mosso a poco a poco, di %1 ± %2 in %3 giorni.</translation>
    </message>
    <message>
        <source>Nothing moved that these errors would show.</source>
        <translation>Nulla si è mosso che questi errori lascino vedere.</translation>
    </message>
    <message>
        <source>moved by %1, the smallest change worth believing is %2</source>
        <translation>mosso di %1, il più piccolo cambiamento credibile è %2</translation>
    </message>
    <message>
        <source>Within the marking error: %1.</source>
        <translation>Entro l&apos;errore di marcatura: %1.</translation>
    </message>
    <message>
        <source>Really better: %1.</source>
        <translation>Davvero meglio: %1.</translation>
    </message>
    <message>
        <source>Really worse: %1.</source>
        <translation>Davvero peggio: %1.</translation>
    </message>
    <message>
        <source>Moved, and still inside the band: %1.</source>
        <translation>Si è mosso, ancora dentro la fascia: %1.</translation>
    </message>
    <message>
        <source>One film under this stress so far. Film again like that, and the change stands here.</source>
        <translation>Finora un solo filmato sotto questa pressione. Filma ancora così, e qui sta il cambiamento.</translation>
    </message>
    <message>
        <source>At %1: </source>
        <translation>A %1: </translation>
    </message>
    <message>
        <source>Not by more than could be chance: %1, and %2 would be needed.</source>
        <translation>Non più di quanto possa essere il caso: %1, e servirebbe %2.</translation>
    </message>
    <message>
        <source>Yes, inside the band: %1, %2 times what could be chance.</source>
        <translation>Sì, dentro la fascia: %1, %2 volte quanto può essere il caso.</translation>
    </message>
    <message>
        <source>Yes: %1, %2 times what could be chance.</source>
        <translation>Sì: %1, %2 volte quanto può essere il caso.</translation>
    </message>
    <message>
        <source>Yes, the wrong way: %1, %2 times what could be chance.</source>
        <translation>Sì, dalla parte sbagliata: %1, %2 volte quanto può essere il caso.</translation>
    </message>
    <message>
        <source> Still %1 outside the band.</source>
        <translation> Ancora %1 fuori dalla fascia.</translation>
    </message>
    <message>
        <source> It is inside the band now.</source>
        <translation> Ora è dentro la fascia.</translation>
    </message>
    <message>
        <source> It came at once, by %1.</source>
        <translation> È venuto di colpo, entro il %1.</translation>
    </message>
    <message>
        <source> It came little by little.</source>
        <translation> È venuto a poco a poco.</translation>
    </message>
    <message>
        <source>Not kept over %1 days without it: %2.</source>
        <translation>Non mantenuto dopo %1 giorni senza: %2.</translation>
    </message>
    <message>
        <source>More than kept over %1 days without it: %2.</source>
        <translation>Più che mantenuto dopo %1 giorni senza: %2.</translation>
    </message>
    <message>
        <source>Kept over %1 days without it: %2, not more than chance.</source>
        <translation>Mantenuto dopo %1 giorni senza: %2, non più del caso.</translation>
    </message>
    <message>
        <source>at %1 since %2</source>
        <translation>a %1 dal %2</translation>
    </message>
    <message>
        <source>at %1</source>
        <translation>a %1</translation>
    </message>
    <message>
        <source>Not inside the band under any stress yet.</source>
        <translation>Non ancora dentro la fascia sotto nessuna pressione.</translation>
    </message>
    <message>
        <source>Inside the band %1.</source>
        <translation>Dentro la fascia %1.</translation>
    </message>
    <message>
        <source>Inside the band %1; not yet %2.</source>
        <translation>Dentro la fascia %1; non ancora %2.</translation>
    </message>
    <message>
        <source>The best so far under this stress.</source>
        <translation>Il migliore finora sotto questa pressione.</translation>
    </message>
    <message>
        <source>Against the best (%1): %2, not more than chance.</source>
        <translation>Rispetto al migliore (%1): %2, non più del caso.</translation>
    </message>
    <message>
        <source>Against the best (%1): %2.</source>
        <translation>Rispetto al migliore (%1): %2.</translation>
    </message>
    <message>
        <source>reached</source>
        <translation>raggiunto</translation>
    </message>
    <message>
        <source>cannot be told yet, it is that near</source>
        <translation>non si può ancora dire, tanto è vicino</translation>
    </message>
    <message>
        <source>partly</source>
        <translation>in parte</translation>
    </message>
    <message>
        <source>not yet</source>
        <translation>non ancora</translation>
    </message>
    <message>
        <source>Goal %1 by %2: %3.</source>
        <translation>Traguardo %1 entro il %2: %3.</translation>
    </message>
    <message>
        <source>Goal %1: %2.</source>
        <translation>Traguardo %1: %2.</translation>
    </message>
    <message>
        <source>On practised reps athlete and coach agree on %1 % of %2; beyond chance: kappa %3 (%4 to %5).</source>
        <translation>Sulle ripetizioni praticate atleta e allenatore concordano sul %1 % di %2; oltre il caso: kappa %3 (da %4 a %5).</translation>
    </message>
    <message>
        <source>%1 % (kappa %2, %3 to %4)</source>
        <translation>%1 % (kappa %2, da %3 a %4)</translation>
    </message>
    <message>
        <source>too few to tell</source>
        <translation>troppo poche per dirlo</translation>
    </message>
    <message>
        <source>On %1 reps of films the athlete agrees with the measure on %2, the coach on %3.</source>
        <translation>Su %1 ripetizioni filmate l&apos;atleta concorda con la misura sul %2, l&apos;allenatore sul %3.</translation>
    </message>
    <message>
        <source> Of %1 that were not good the athlete missed %2, the coach %3.</source>
        <translation> Di %1 che non erano buone all&apos;atleta ne sono sfuggite %2, all&apos;allenatore %3.</translation>
    </message>
    <message>
        <source>Ask for a guess in the Brief, and have both judge in Practice.</source>
        <translation>Chiedi una stima nell&apos;Incontro, e falli giudicare entrambi in Pratica.</translation>
    </message>
    <message>
        <source>Five reps at different speeds are needed, with the capture rate stated: %1 so far.</source>
        <translation>Servono cinque ripetizioni a velocità diverse, con la frequenza di ripresa fissata: %1 finora.</translation>
    </message>
    <message>
        <source>All reps are of about one speed: film some at walking speed, some at half, some at full.</source>
        <translation>Tutte le ripetizioni hanno circa la stessa velocità: filmane alcune al passo, alcune a metà, alcune al massimo.</translation>
    </message>
    <message>
        <source>It does not change with the speed by more than could be chance.</source>
        <translation>Non cambia con la velocità più di quanto possa essere il caso.</translation>
    </message>
    <message>
        <source>It changes by %1 for 10 % more speed, and stays inside its band.</source>
        <translation>Cambia di %1 per il 10 % di velocità in più, e resta nella sua fascia.</translation>
    </message>
    <message>
        <source>Outside its band at every speed of these reps: slower still.</source>
        <translation>Fuori dalla fascia a ogni velocità di queste ripetizioni: ancora più piano.</translation>
    </message>
    <message>
        <source> (%1 to %2)</source>
        <translation> (da %1 a %2)</translation>
    </message>
    <message>
        <source>It falls apart from %1 of the fastest on%2.</source>
        <translation>Si sfalda dal %1 della più veloce in su%2.</translation>
    </message>
    <message>
        <source>Nothing is practised yet. Choose a cue before a block, and it is counted here.</source>
        <translation>Ancora nulla è praticato. Scegli un richiamo prima di un blocco, e qui si conta.</translation>
    </message>
    <message>
        <source>one cue so far, “%1”, %2. Try another at the same drill, and they can be compared.</source>
        <translation>finora un solo richiamo, «%1», %2. Provane un altro sullo stesso esercizio, e si potranno confrontare.</translation>
    </message>
    <message>
        <source>“%1” works better than the rest (%2), %3.</source>
        <translation>«%1» funziona meglio degli altri (%2), %3.</translation>
    </message>
    <message>
        <source>%1 more with “%2”</source>
        <translation>ancora %1 con «%2»</translation>
    </message>
    <message>
        <source>not enough yet, %1.</source>
        <translation>non ancora abbastanza, %1.</translation>
    </message>
    <message>
        <source>no cue is clearly better yet; “%1” leads (%2).</source>
        <translation>nessun richiamo è ancora nettamente migliore; «%1» è avanti (%2).</translation>
    </message>
    <message>
        <source>Nothing was practised in the last four weeks.</source>
        <translation>Nelle ultime quattro settimane non si è praticato nulla.</translation>
    </message>
    <message>
        <source> %1 minutes of it alone.</source>
        <translation> Di cui %1 minuti da solo.</translation>
    </message>
    <message>
        <source> Of what was planned %1 % was done (%2 of %3).</source>
        <translation> Di ciò che era pianificato è fatto il %1 % (%2 su %3).</translation>
    </message>
    <message numerus="yes">
        <source>%n blocks in the last four weeks, %1 good of %2 reps.</source>
        <comment>%n block in the last four weeks, %1 good of %2 reps.</comment>
        <translation>
            <numerusform>%n blocco nelle ultime quattro settimane, %1 buone su %2 ripetizioni.</numerusform>
            <numerusform>%n blocchi nelle ultime quattro settimane, %1 buone su %2 ripetizioni.</numerusform>
        </translation>
    </message>
    <message>
        <source>%1 reads %2 more than %3 (%4 frames that both marked): taken off.</source>
        <translation>%1 legge %2 più di %3 (%4 fotogrammi marcati da entrambi): tolto.</translation>
    </message>
    <message>
        <source>What %1 marked is left out: how %1 reads against %2 is not known. Let one mark frames of the other&apos;s again (Marking, “Again”).</source>
        <translation>Ciò che ha marcato %1 resta fuori: non si sa come legge %1 rispetto a %2. Uno dei due marchi di nuovo alcuni fotogrammi dell&apos;altro (Marcatura, «Di nuovo»).</translation>
    </message>
    <message>
        <source>%1 apart on %2, %3 apart on %4: feeling comes nearer to the film. </source>
        <translation>%1 di divario il %2, %3 il %4: la sensazione si avvicina al filmato. </translation>
    </message>
    <message>
        <source>%1 apart on %2, %3 apart on %4: feeling moves away from the film. </source>
        <translation>%1 di divario il %2, %3 il %4: la sensazione si allontana dal filmato. </translation>
    </message>
    <message>
        <source>%1 apart on %2, %3 apart on %4: not more than chance. </source>
        <translation>%1 di divario il %2, %3 il %4: non più del caso. </translation>
    </message>
    <message>
        <source>The camera “%1” reads %2 more than “%3” (%4 reps that both filmed): taken off.</source>
        <translation>La telecamera «%1» legge %2 in più di «%3» (%4 ripetizioni filmate da tutte e due): sottratto.</translation>
    </message>
    <message>
        <source>What the camera “%1” filmed is left out: how it reads against “%2” is not known. Film three reps with both, from the same side, and lock the two films.</source>
        <translation>Quello che ha filmato la telecamera «%1» resta fuori: non si sa come legge rispetto a «%2». Filma tre ripetizioni con tutte e due, dallo stesso lato, e aggancia i due filmati.</translation>
    </message>
    <message>
        <source>the picture</source>
        <translation>l&apos;immagine</translation>
    </message>
    <message>
        <source>Five reps with different stated efforts are needed: %1 so far.</source>
        <translation>Servono cinque ripetizioni con sforzi detti diversi: %1 finora.</translation>
    </message>
    <message>
        <source>All reps are of about one effort: film some at half, some at full.</source>
        <translation>Tutte le ripetizioni sono circa dello stesso sforzo: filmane alcune a metà, alcune a pieno.</translation>
    </message>
    <message>
        <source>It does not change with the effort by more than could be chance.</source>
        <translation>Non cambia con lo sforzo più di quanto possa essere il caso.</translation>
    </message>
    <message>
        <source>It changes by %1 for 10 % more effort, and stays inside its band.</source>
        <translation>Cambia di %1 per il 10 % di sforzo in più, e resta nella sua fascia.</translation>
    </message>
    <message>
        <source>Outside its band at every effort of these reps: easier still.</source>
        <translation>Fuori dalla fascia a ogni sforzo di queste ripetizioni: ancora più leggero.</translation>
    </message>
    <message>
        <source>It falls apart from %1 of the utmost effort on%2.</source>
        <translation>Si sfalda dal %1 dello sforzo massimo in su%2.</translation>
    </message>
    <message>
        <source> Practise it at %1.</source>
        <translation> Praticalo al %1.</translation>
    </message>
    <message>
        <source>Over the %1 minutes of %2 (%3 reps) it does not drift by more than could be chance.</source>
        <translation>Nei %1 minuti di %2 (%3 ripetizioni) non si sposta più di quanto possa essere il caso.</translation>
    </message>
    <message>
        <source>Over the %1 minutes of %2 (%3 reps) it drifts by %4: does it tire?</source>
        <translation>Nei %1 minuti di %2 (%3 ripetizioni) si sposta di %4: è la stanchezza?</translation>
    </message>
    <message>
        <source>%1 %2 good of %3</source>
        <translation>%1 %2 buone su %3</translation>
    </message>
    <message>
        <source>%1: %2 is the weaker way (%3); %4.</source>
        <translation>%1: %2 è il modo più debole (%3); %4.</translation>
    </message>
    <message>
        <source>%1: no way is clearly weaker; %2.</source>
        <translation>%1: nessun modo è chiaramente più debole; %2.</translation>
    </message>
    <message>
        <source>%1: not enough yet to tell the ways apart; %2.</source>
        <translation>%1: non ancora abbastanza per distinguere i modi; %2.</translation>
    </message>
    <message>
        <source>Since %1: %2, not more than chance.</source>
        <translation>Dal %1: %2, non più del caso.</translation>
    </message>
    <message>
        <source>Since %1: %2.</source>
        <translation>Dal %1: %2.</translation>
    </message>
    <message>
        <source>owned up to %1, broke at %2</source>
        <translation>posseduto fino a %1, si rompeva a %2</translation>
    </message>
    <message>
        <source>owned up to %1</source>
        <translation>posseduto fino a %1</translation>
    </message>
    <message>
        <source>broke at %1</source>
        <translation>si rompeva a %1</translation>
    </message>
    <message>
        <source>neither owned nor broken for sure</source>
        <translation>né posseduto né rotto con certezza</translation>
    </message>
    <message>
        <source> Before %1: %2.</source>
        <translation> Prima del %1: %2.</translation>
    </message>
    <message>
        <source>no harder than %1 of the utmost effort</source>
        <translation>al più %1 dello sforzo massimo</translation>
    </message>
    <message>
        <source>no faster than %1 of the fastest</source>
        <translation>al più %1 della più veloce</translation>
    </message>
    <message numerus="yes">
        <source>%n reps</source>
        <comment>%n rep</comment>
        <translation>
            <numerusform>%n ripetizione</numerusform>
            <numerusform>%n ripetizioni</numerusform>
        </translation>
    </message>
    <message>
        <source>%1 minutes alone</source>
        <translation>%1 minuti da solo</translation>
    </message>
    <message numerus="yes">
        <source>%1 on %n days</source>
        <comment>%1 on %n day</comment>
        <translation>
            <numerusform>%1 in %n giorno</numerusform>
            <numerusform>%1 in %n giorni</numerusform>
        </translation>
    </message>
    <message>
        <source>while it was practised (%1) it moved by %2, towards the band.</source>
        <translation>mentre si praticava (%1) si è mosso di %2, verso la fascia.</translation>
    </message>
    <message>
        <source>while it was practised (%1) it moved by %2, the wrong way: leave it, and look again.</source>
        <translation>mentre si praticava (%1) si è mosso di %2, dalla parte sbagliata: lascialo, e guarda di nuovo.</translation>
    </message>
    <message>
        <source>practised (%1), and inside the band: the next stage, or leave it.</source>
        <translation>praticato (%1), e dentro la fascia: lo stadio dopo, o lascialo.</translation>
    </message>
    <message>
        <source>practised (%1), and it has not moved by more than could be chance (%2): another cue, another stage, another drill.</source>
        <translation>praticato (%1), e non si è mosso più di quanto possa fare il caso (%2): un altro richiamo, un altro stadio, un altro esercizio.</translation>
    </message>
    <message>
        <source>The speed itself, rate times distance, moved by no more than could be chance (%1): more of one alone proves nothing.</source>
        <translation>La velocità stessa, frequenza per distanza, non si è mossa più di quanto possa fare il caso (%1): più di una sola delle due non prova nulla.</translation>
    </message>
    <message>
        <source>The speed itself, rate times distance, went up with it: %1.</source>
        <translation>La velocità stessa, frequenza per distanza, è salita con essa: %1.</translation>
    </message>
    <message>
        <source>The speed itself, rate times distance, went down: %1. More of one alone proves nothing.</source>
        <translation>La velocità stessa, frequenza per distanza, è scesa: %1. Più di una sola delle due non prova nulla.</translation>
    </message>
    <message>
        <source> An old habit comes back under stress. That is normal: it shows the stage that is not owned yet.</source>
        <translation> Sotto stress torna un&apos;abitudine vecchia. È normale: mostra lo stadio che non è ancora posseduto.</translation>
    </message>
    <message>
        <source>practised (%1), and not moved yet by more than could be chance (%2). A deep habit gives way late, and then at once: go on, and film again.</source>
        <translation>praticato (%1), e non ancora mosso più di quanto possa fare il caso (%2). Un&apos;abitudine profonda cede tardi, e poi di colpo: va&apos; avanti, e filma di nuovo.</translation>
    </message>
</context>
<context>
    <name>question</name>
    <message>
        <source>Start</source>
        <translation>Inizio</translation>
    </message>
    <message>
        <source>The frame on which it is read.</source>
        <translation>Il fotogramma su cui si legge.</translation>
    </message>
    <message>
        <source>End</source>
        <translation>Fine</translation>
    </message>
    <message>
        <source>The movement is over.</source>
        <translation>Il movimento è finito.</translation>
    </message>
    <message>
        <source>As asked of the frame</source>
        <translation>Come chiesto al fotogramma</translation>
    </message>
    <message>
        <source>Two errors to each side of what was read once; to be set anew.</source>
        <translation>Due errori per parte di ciò che si è letto una volta; da fissare di nuovo.</translation>
    </message>
</context>
<context>
    <name>report</name>
    <message>
        <source>as the model, within %1</source>
        <translation>come il modello, entro %1</translation>
    </message>
    <message>
        <source>&lt;h1&gt;%1&lt;/h1&gt;&lt;p class=quiet&gt;Version %2. Key positions, what is looked at, what goes wrong, what helps.&lt;/p&gt;</source>
        <translation>&lt;h1&gt;%1&lt;/h1&gt;&lt;p class=quiet&gt;Versione %2. Posizioni chiave, che cosa si guarda, che cosa va storto, che cosa aiuta.&lt;/p&gt;</translation>
    </message>
    <message>
        <source>&lt;h2&gt;Schools&lt;/h2&gt;</source>
        <translation>&lt;h2&gt;Scuole&lt;/h2&gt;</translation>
    </message>
    <message>
        <source>&lt;h2&gt;Key positions&lt;/h2&gt;&lt;table width=&quot;100%&quot; cellspacing=0 cellpadding=4&gt;</source>
        <translation>&lt;h2&gt;Posizioni chiave&lt;/h2&gt;&lt;table width=&quot;100%&quot; cellspacing=0 cellpadding=4&gt;</translation>
    </message>
    <message>
        <source>By eye: </source>
        <translation>A occhio: </translation>
    </message>
    <message>
        <source>&lt;/table&gt;&lt;h2&gt;What goes wrong, and what helps&lt;/h2&gt;</source>
        <translation>&lt;/table&gt;&lt;h2&gt;Che cosa va storto, e che cosa aiuta&lt;/h2&gt;</translation>
    </message>
    <message>
        <source>&lt;br&gt;Often comes from: </source>
        <translation>&lt;br&gt;Viene spesso da: </translation>
    </message>
    <message>
        <source>&lt;br&gt;Drills: </source>
        <translation>&lt;br&gt;Esercizi: </translation>
    </message>
    <message>
        <source>&lt;br&gt;&lt;span class=caution&gt;Caution: </source>
        <translation>&lt;br&gt;&lt;span class=caution&gt;Avvertenza: </translation>
    </message>
    <message>
        <source>&lt;h2&gt;Drills, easiest first&lt;/h2&gt;&lt;table width=&quot;100%&quot; cellspacing=0 cellpadding=3&gt;</source>
        <translation>&lt;h2&gt;Esercizi, dal più facile&lt;/h2&gt;&lt;table width=&quot;100%&quot; cellspacing=0 cellpadding=3&gt;</translation>
    </message>
    <message>
        <source>, also at home</source>
        <translation>, anche a casa</translation>
    </message>
    <message>
        <source>not judged: </source>
        <translation>non giudicato: </translation>
    </message>
    <message>
        <source>&lt;p class=quiet&gt;Goal: %1. Film of %2, %3 reps. Bands: %4.&lt;/p&gt;</source>
        <translation>&lt;p class=quiet&gt;Traguardo: %1. Filmato del %2, %3 ripetizioni. Fasce: %4.&lt;/p&gt;</translation>
    </message>
    <message>
        <source>no date</source>
        <translation>nessuna data</translation>
    </message>
    <message>
        <source>common to all schools</source>
        <translation>comune a tutte le scuole</translation>
    </message>
    <message>
        <source>school </source>
        <translation>scuola </translation>
    </message>
    <message>
        <source>&lt;p class=quiet&gt;Read from %1.%2&lt;/p&gt;</source>
        <translation>&lt;p class=quiet&gt;Letto da %1.%2&lt;/p&gt;</translation>
    </message>
    <message>
        <source> Values called draft rest on what the machine found; nobody has checked those marks.</source>
        <translation> I valori detti bozza poggiano su ciò che la macchina ha trovato; nessuno ha controllato quei segni.</translation>
    </message>
    <message>
        <source>&lt;h2&gt;What is good&lt;/h2&gt;&lt;ul&gt;</source>
        <translation>&lt;h2&gt;Che cosa è buono&lt;/h2&gt;&lt;ul&gt;</translation>
    </message>
    <message>
        <source>&lt;li&gt;Nothing is measured yet.&lt;/li&gt;</source>
        <translation>&lt;li&gt;Ancora nulla è misurato.&lt;/li&gt;</translation>
    </message>
    <message>
        <source>&lt;h2&gt;Work on this&lt;/h2&gt;</source>
        <translation>&lt;h2&gt;Lavora su questo&lt;/h2&gt;</translation>
    </message>
    <message>
        <source>&lt;p&gt;No finding is sure enough to work on.&lt;/p&gt;</source>
        <translation>&lt;p&gt;Nessun rilievo è abbastanza sicuro da lavorarci.&lt;/p&gt;</translation>
    </message>
    <message>
        <source>&lt;p class=quiet&gt;Why it comes first: %1.&lt;/p&gt;</source>
        <translation>&lt;p class=quiet&gt;Perché viene per primo: %1.&lt;/p&gt;</translation>
    </message>
    <message>
        <source>&lt;p class=caution&gt;Caution: %1&lt;/p&gt;</source>
        <translation>&lt;p class=caution&gt;Avvertenza: %1&lt;/p&gt;</translation>
    </message>
    <message>
        <source>&lt;p&gt;Expected to go with it, so leave alone for now: %1.&lt;/p&gt;</source>
        <translation>&lt;p&gt;Dovrebbe andare con esso, perciò per ora lascialo stare: %1.&lt;/p&gt;</translation>
    </message>
    <message>
        <source>&lt;h2&gt;Steady or not&lt;/h2&gt;&lt;ul&gt;</source>
        <translation>&lt;h2&gt;Costante o no&lt;/h2&gt;&lt;ul&gt;</translation>
    </message>
    <message>
        <source>&lt;h2&gt;Felt and filmed&lt;/h2&gt;&lt;ul&gt;</source>
        <translation>&lt;h2&gt;Sentito e filmato&lt;/h2&gt;&lt;ul&gt;</translation>
    </message>
    <message>
        <source>&lt;br&gt;&lt;span class=caution&gt;Caution: %1&lt;/span&gt;</source>
        <translation>&lt;br&gt;&lt;span class=caution&gt;Avvertenza: %1&lt;/span&gt;</translation>
    </message>
    <message>
        <source>&lt;h2&gt;The next two weeks&lt;/h2&gt;</source>
        <translation>&lt;h2&gt;Le prossime due settimane&lt;/h2&gt;</translation>
    </message>
    <message>
        <source>&lt;p&gt;Two minutes at home: %1 (%2).&lt;/p&gt;</source>
        <translation>&lt;p&gt;Due minuti a casa: %1 (%2).&lt;/p&gt;</translation>
    </message>
    <message>
        <source>&lt;h2&gt;All measures&lt;/h2&gt;&lt;table width=&quot;100%&quot; cellspacing=0 cellpadding=1&gt;&lt;tr&gt;&lt;th align=left&gt;Measure&lt;/th&gt;&lt;th align=right&gt;Value &amp;plusmn; u&lt;/th&gt;&lt;th align=right&gt;Band&lt;/th&gt;&lt;th align=left&gt;&lt;/th&gt;&lt;/tr&gt;</source>
        <translation>&lt;h2&gt;Tutte le misure&lt;/h2&gt;&lt;table width=&quot;100%&quot; cellspacing=0 cellpadding=1&gt;&lt;tr&gt;&lt;th align=left&gt;Misura&lt;/th&gt;&lt;th align=right&gt;Valore &amp;plusmn; u&lt;/th&gt;&lt;th align=right&gt;Fascia&lt;/th&gt;&lt;th align=left&gt;&lt;/th&gt;&lt;/tr&gt;</translation>
    </message>
    <message>
        <source>&lt;/table&gt;&lt;p class=quiet&gt;&amp;#9675; inside the band, &amp;#9679; outside, &amp;#9680; undecided. u is the standard uncertainty from the marks and from the instant of the key position.&lt;/p&gt;</source>
        <translation>&lt;/table&gt;&lt;p class=quiet&gt;&amp;#9675; dentro la fascia, &amp;#9679; fuori, &amp;#9680; non deciso. u è l&apos;incertezza tipo dovuta ai segni e all&apos;istante della posizione chiave.&lt;/p&gt;</translation>
    </message>
    <message>
        <source>&lt;h1&gt;%1 &amp;middot; %2&lt;/h1&gt;&lt;p class=quiet&gt;Goal: %3. Film of %4.&lt;/p&gt;&lt;h2&gt;What is good&lt;/h2&gt;&lt;ul&gt;</source>
        <translation>&lt;h1&gt;%1 &amp;middot; %2&lt;/h1&gt;&lt;p class=quiet&gt;Traguardo: %3. Filmato del %4.&lt;/p&gt;&lt;h2&gt;Che cosa è buono&lt;/h2&gt;&lt;ul&gt;</translation>
    </message>
    <message>
        <source>Two things</source>
        <translation>Due cose</translation>
    </message>
    <message>
        <source>One thing</source>
        <translation>Una cosa</translation>
    </message>
    <message>
        <source>&lt;p&gt;Nothing is sure enough to work on. Go on as you do.&lt;/p&gt;</source>
        <translation>&lt;p&gt;Nulla è abbastanza sicuro da lavorarci. Continua così.&lt;/p&gt;</translation>
    </message>
    <message>
        <source>&lt;h2&gt;What you do for it&lt;/h2&gt;</source>
        <translation>&lt;h2&gt;Che cosa fai per questo&lt;/h2&gt;</translation>
    </message>
    <message>
        <source>&lt;p&gt;%1&lt;br&gt;&lt;span class=quiet&gt;Frame %2 of %3&lt;/span&gt;&lt;/p&gt;&lt;p&gt;%4&lt;/p&gt;</source>
        <translation>&lt;p&gt;%1&lt;br&gt;&lt;span class=quiet&gt;Fotogramma %2 di %3&lt;/span&gt;&lt;/p&gt;&lt;p&gt;%4&lt;/p&gt;</translation>
    </message>
    <message>
        <source>&lt;h2&gt;Seen on the film&lt;/h2&gt;</source>
        <translation>&lt;h2&gt;Visto nel filmato&lt;/h2&gt;</translation>
    </message>
    <message>
        <source>&lt;p class=caution&gt;Pictures are missing: %1&lt;/p&gt;</source>
        <translation>&lt;p class=caution&gt;Mancano immagini: %1&lt;/p&gt;</translation>
    </message>
    <message>
        <source>&lt;h2 class=newpage style=&quot;page-break-before:always&quot;&gt;Drills, in this order&lt;/h2&gt;</source>
        <translation>&lt;h2 class=newpage style=&quot;page-break-before:always&quot;&gt;Esercizi, in quest&apos;ordine&lt;/h2&gt;</translation>
    </message>
    <message>
        <source>&lt;h2&gt;Consent&lt;/h2&gt;&lt;p&gt;Films and figures of a minor are kept with a guardian&apos;s consent only. They stay on the coach&apos;s computer. You may have them handed over, or deleted, films included, at any time: ask the coach.&lt;/p&gt;</source>
        <translation>&lt;h2&gt;Consenso&lt;/h2&gt;&lt;p&gt;Filmati e cifre di un minorenne si tengono solo con il consenso di un genitore. Restano sul computer dell&apos;allenatore. Potete farveli consegnare, o cancellare, filmati compresi, in ogni momento: chiedete all&apos;allenatore.&lt;/p&gt;</translation>
    </message>
    <message>
        <source>At home: </source>
        <translation>A casa: </translation>
    </message>
    <message>
        <source>&lt;tr&gt;&lt;td width=&quot;20%&quot;&gt;&lt;b&gt;%1&lt;/b&gt;&lt;/td&gt;&lt;td&gt;%2, %3 min. &lt;b&gt;&amp;ldquo;%4&amp;rdquo;&lt;/b&gt;&lt;br&gt;%5&lt;/td&gt;&lt;td width=&quot;24%&quot;&gt;&amp;#9744; done &amp;nbsp; good ___ of ___&lt;/td&gt;&lt;/tr&gt;</source>
        <translation>&lt;tr&gt;&lt;td width=&quot;20%&quot;&gt;&lt;b&gt;%1&lt;/b&gt;&lt;/td&gt;&lt;td&gt;%2, %3 min. &lt;b&gt;&amp;ldquo;%4&amp;rdquo;&lt;/b&gt;&lt;br&gt;%5&lt;/td&gt;&lt;td width=&quot;24%&quot;&gt;&amp;#9744; fatto &amp;nbsp; buone ___ su ___&lt;/td&gt;&lt;/tr&gt;</translation>
    </message>
    <message>
        <source>&lt;h1&gt;At home&lt;/h1&gt;&lt;p class=quiet&gt;%1, %2. Seven days from %3.&lt;/p&gt;</source>
        <translation>&lt;h1&gt;A casa&lt;/h1&gt;&lt;p class=quiet&gt;%1, %2. Sette giorni dal %3.&lt;/p&gt;</translation>
    </message>
    <message>
        <source>&lt;p&gt;Nothing is planned at home in these days.&lt;/p&gt;</source>
        <translation>&lt;p&gt;In questi giorni a casa non è pianificato nulla.&lt;/p&gt;</translation>
    </message>
    <message>
        <source>&lt;p class=caution&gt;Pain, dizziness or a recent injury: stop, and see a physician or physiotherapist.&lt;/p&gt;</source>
        <translation>&lt;p class=caution&gt;Dolore, capogiri o un infortunio recente: fermati, e vai da un medico o da un fisioterapista.&lt;/p&gt;</translation>
    </message>
    <message>
        <source>Above the line: you. Below it: the model, at the same moments of the movement.</source>
        <translation>Sopra la linea: tu. Sotto: il modello, negli stessi momenti del movimento.</translation>
    </message>
    <message>
        <source>yes %1, partly %2, no %3</source>
        <translation>sì %1, in parte %2, no %3</translation>
    </message>
    <message>
        <source>&lt;h2&gt;Seen by eye, player by player&lt;/h2&gt;</source>
        <translation>&lt;h2&gt;Visto a occhio, giocatore per giocatore&lt;/h2&gt;</translation>
    </message>
    <message>
        <source>%1, day by day</source>
        <translation>%1, giorno per giorno</translation>
    </message>
    <message>
        <source>&lt;h2&gt;What was practised&lt;/h2&gt;</source>
        <translation>&lt;h2&gt;Che cosa si è praticato&lt;/h2&gt;</translation>
    </message>
</context>
<context>
    <name>review</name>
    <message>
        <source>Good, and to be kept: %1, %2</source>
        <translation>Buono, e da mantenere: %1, %2</translation>
    </message>
    <message>
        <source>The cause: %1. %2</source>
        <translation>La causa: %1. %2</translation>
    </message>
    <message>
        <source>It should go with the cause: %1</source>
        <translation>Dovrebbe andare con la causa: %1</translation>
    </message>
    <message>
        <source>To do: %1, %2. “%3”</source>
        <translation>Da fare: %1, %2. «%3»</translation>
    </message>
    <message>
        <source>You said: %1</source>
        <translation>Hai detto: %1</translation>
    </message>
    <message>
        <source>You were told: %1</source>
        <translation>Ti hanno detto: %1</translation>
    </message>
    <message>
        <source>%1 s</source>
        <translation>%1 s</translation>
    </message>
    <message>
        <source>, %1 times slower</source>
        <translation>, %1 volte più lento</translation>
    </message>
    <message>
        <source>What is good</source>
        <translation>Che cosa è buono</translation>
    </message>
    <message>
        <source>The cause</source>
        <translation>La causa</translation>
    </message>
    <message>
        <source>What it brings about</source>
        <translation>Che cosa provoca</translation>
    </message>
    <message>
        <source>What to do</source>
        <translation>Che cosa fare</translation>
    </message>
    <message>
        <source>What was said</source>
        <translation>Che cosa è stato detto</translation>
    </message>
    <message>
        <source>: %1, a tick each %2 s</source>
        <translation>: %1, una tacca ogni %2 s</translation>
    </message>
</context>
<context>
    <name>riflesso</name>
    <message>
        <source>end of one leg</source>
        <translation>estremo di un lato</translation>
    </message>
    <message>
        <source>the vertex</source>
        <translation>il vertice</translation>
    </message>
    <message>
        <source>end of the other leg</source>
        <translation>estremo dell&apos;altro lato</translation>
    </message>
    <message>
        <source>lower end</source>
        <translation>estremo inferiore</translation>
    </message>
    <message>
        <source>upper end</source>
        <translation>estremo superiore</translation>
    </message>
    <message>
        <source>first: from</source>
        <translation>primo: da</translation>
    </message>
    <message>
        <source>first: to</source>
        <translation>primo: a</translation>
    </message>
    <message>
        <source>second: from</source>
        <translation>secondo: da</translation>
    </message>
    <message>
        <source>second: to</source>
        <translation>secondo: a</translation>
    </message>
    <message>
        <source>middle of the dial</source>
        <translation>centro del quadrante</translation>
    </message>
    <message>
        <source>end of the hand</source>
        <translation>punta della lancetta</translation>
    </message>
    <message>
        <source>a: from</source>
        <translation>a: da</translation>
    </message>
    <message>
        <source>a: to</source>
        <translation>a: a</translation>
    </message>
    <message>
        <source>b: from</source>
        <translation>b: da</translation>
    </message>
    <message>
        <source>b: to</source>
        <translation>b: a</translation>
    </message>
    <message>
        <source>the point</source>
        <translation>il punto</translation>
    </message>
    <message>
        <source>against which point</source>
        <translation>rispetto a quale punto</translation>
    </message>
    <message>
        <source>should lead</source>
        <translation>dovrebbe precedere</translation>
    </message>
    <message>
        <source>should follow</source>
        <translation>dovrebbe seguire</translation>
    </message>
    <message>
        <source>the support</source>
        <translation>l&apos;appoggio</translation>
    </message>
    <message>
        <source>over it</source>
        <translation>sopra di esso</translation>
    </message>
    <message>
        <source>one end of the width</source>
        <translation>un estremo della larghezza</translation>
    </message>
    <message>
        <source>other end</source>
        <translation>l&apos;altro estremo</translation>
    </message>
    <message>
        <source>cue: ahead</source>
        <translation>indizio: davanti</translation>
    </message>
    <message>
        <source>cue: behind</source>
        <translation>indizio: dietro</translation>
    </message>
    <message>
        <source>first</source>
        <translation>primo</translation>
    </message>
    <message>
        <source>second: above zero when higher</source>
        <translation>secondo: sopra zero quando è più alto</translation>
    </message>
    <message>
        <source>one shoulder</source>
        <translation>una spalla</translation>
    </message>
    <message>
        <source>other shoulder</source>
        <translation>l&apos;altra spalla</translation>
    </message>
    <message>
        <source>the athlete</source>
        <translation>l&apos;atleta</translation>
    </message>
    <message>
        <source>the other</source>
        <translation>l&apos;altro</translation>
    </message>
    <message>
        <source>cue: front</source>
        <translation>indizio: fronte</translation>
    </message>
    <message>
        <source>cue: back</source>
        <translation>indizio: retro</translation>
    </message>
    <message>
        <source>the point that moves</source>
        <translation>il punto che si muove</translation>
    </message>
    <message>
        <source>against which point (may be left out)</source>
        <translation>rispetto a quale punto (si può omettere)</translation>
    </message>
    <message>
        <source>one</source>
        <translation>uno</translation>
    </message>
    <message>
        <source>in front of which point (may be left out)</source>
        <translation>davanti a quale punto (si può omettere)</translation>
    </message>
    <message>
        <source>a point</source>
        <translation>un punto</translation>
    </message>
    <message>
        <source>or a segment</source>
        <translation>o un segmento</translation>
    </message>
    <message>
        <source>or a joint</source>
        <translation>o un&apos;articolazione</translation>
    </message>
    <message>
        <source>the end that travels</source>
        <translation>l&apos;estremità che viaggia</translation>
    </message>
    <message>
        <source>what it travels round</source>
        <translation>ciò attorno a cui viaggia</translation>
    </message>
    <message>
        <source>body axis: low</source>
        <translation>asse del corpo: in basso</translation>
    </message>
    <message>
        <source>body axis: high</source>
        <translation>asse del corpo: in alto</translation>
    </message>
    <message>
        <source>a foot</source>
        <translation>un piede</translation>
    </message>
    <message>
        <source>axis: low</source>
        <translation>asse: in basso</translation>
    </message>
    <message>
        <source>axis: high</source>
        <translation>asse: in alto</translation>
    </message>
    <message>
        <source>the edge, off the axis</source>
        <translation>il bordo, fuori dall&apos;asse</translation>
    </message>
    <message>
        <source>the other edge (may be left out)</source>
        <translation>l&apos;altro bordo (si può omettere)</translation>
    </message>
    <message>
        <source>the first of the two</source>
        <translation>il primo dei due</translation>
    </message>
    <message>
        <source>the second</source>
        <translation>il secondo</translation>
    </message>
</context>
<context>
    <name>riflesso::AgreementView</name>
    <message>
        <source>Limits of agreement</source>
        <translation>Limiti di concordanza</translation>
    </message>
    <message>
        <source>Each dot is a frame: the difference of its two readings over their mean. 95 of 100 differences lie between the dashed lines (Bland &amp; Altman 1986).</source>
        <translation>Ogni punto è un fotogramma: la differenza delle sue due letture sulla loro media. 95 differenze su 100 stanno fra le linee tratteggiate (Bland e Altman 1986).</translation>
    </message>
    <message>
        <source>Choose a measure that was read on three frames or more.</source>
        <translation>Scegli una misura letta su almeno tre fotogrammi.</translation>
    </message>
    <message>
        <source>difference over mean, %1</source>
        <translation>differenza sulla media, %1</translation>
    </message>
</context>
<context>
    <name>riflesso::AnglesPanel</name>
    <message>
        <source>The take beside it</source>
        <translation>La ripresa accanto</translation>
    </message>
    <message>
        <source>Both show the same instant now</source>
        <translation>Ora mostrano lo stesso istante</translation>
    </message>
    <message>
        <source>Step each film to the same instant: Ctrl+arrows step the one beside. One such instant gives the offset, two and more the rate of the cameras too.</source>
        <translation>Porta ciascun filmato sullo stesso istante: Ctrl+frecce muovono quello accanto. Un istante comune dà lo scarto, due o più anche la frequenza delle telecamere.</translation>
    </message>
    <message>
        <source>Lock by their sound</source>
        <translation>Aggancia con il suono</translation>
    </message>
    <message>
        <source>Unlock</source>
        <translation>Sgancia</translation>
    </message>
    <message>
        <source>Another angle beside it</source>
        <translation>Un&apos;altra inquadratura accanto</translation>
    </message>
    <message>
        <source>share an instant</source>
        <translation>condividere un istante</translation>
    </message>
    <message>
        <source>none</source>
        <translation>nessuno</translation>
    </message>
    <message>
        <source>There is only one film in this case.</source>
        <translation>In questo caso c&apos;è un solo filmato.</translation>
    </message>
    <message>
        <source>Choose a film of the same movement. Locked films step together, and a key position set in one is set in all.</source>
        <translation>Scegli un filmato dello stesso movimento. I filmati agganciati avanzano insieme, e una posizione chiave posta in uno vale in tutti.</translation>
    </message>
    <message>
        <source>Not locked. Step both to the same instant (Ctrl+arrows step the one beside) and say so, or let the sound decide.</source>
        <translation>Non agganciato. Porta entrambi sullo stesso istante (Ctrl+frecce muovono quello accanto) e dillo, o lascia decidere al suono.</translation>
    </message>
    <message>
        <source>Locked: the other is %1 s %2, ± %3 ms.</source>
        <translation>Agganciato: l&apos;altro è %1 s %2, ± %3 ms.</translation>
    </message>
    <message>
        <source>behind</source>
        <translation>indietro</translation>
    </message>
    <message>
        <source>ahead</source>
        <translation>avanti</translation>
    </message>
    <message>
        <source> By sound: the best place is %1 times as clear as the next.</source>
        <translation> Con il suono: il posto migliore è %1 volte più netto del successivo.</translation>
    </message>
    <message>
        <source> Its clock runs %1 times as fast (± %2).</source>
        <translation> Il suo orologio corre %1 volte più veloce (± %2).</translation>
    </message>
    <message>
        <source>frame %1 with %2, off by %3 ms</source>
        <translation>fotogramma %1 con %2, scarto di %3 ms</translation>
    </message>
    <message>
        <source>take a shared instant away</source>
        <translation>togliere un istante comune</translation>
    </message>
</context>
<context>
    <name>riflesso::ArrivalDialog</name>
    <message>
        <source>What arrives: %1</source>
        <translation>Che cosa arriva: %1</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>%1, %2, %3</source>
        <translation>%1, %2, %3</translation>
    </message>
    <message>
        <source>take</source>
        <translation>ripresa</translation>
    </message>
    <message>
        <source>takes</source>
        <translation>riprese</translation>
    </message>
    <message>
        <source>rep</source>
        <translation>ripetizione</translation>
    </message>
    <message>
        <source>reps</source>
        <translation>ripetizioni</translation>
    </message>
    <message>
        <source>film</source>
        <translation>filmato</translation>
    </message>
    <message>
        <source>films</source>
        <translation>filmati</translation>
    </message>
    <message>
        <source>, newest of %1</source>
        <translation>, la più recente del %1</translation>
    </message>
    <message>
        <source>It is here already, to the last mark.</source>
        <translation>È già qui, fino all&apos;ultimo segno.</translation>
    </message>
    <message>
        <source>A case with the same film is here: %1.</source>
        <translation>Qui c&apos;è un caso con lo stesso filmato: %1.</translation>
    </message>
    <message>
        <source>Somebody called %1 is here.</source>
        <translation>Qui c&apos;è qualcuno di nome %1.</translation>
    </message>
    <message>
        <source>Its technique is described otherwise there. Here it is judged by what is here: figures may differ.</source>
        <translation>Là la sua tecnica è descritta in altro modo. Qui si giudica con ciò che è qui: i numeri possono differire.</translation>
    </message>
    <message>
        <source>What becomes of it</source>
        <translation>Che ne facciamo</translation>
    </message>
    <message>
        <source>Leave it out</source>
        <translation>Lasciarlo fuori</translation>
    </message>
    <message>
        <source>Take it in, as somebody new</source>
        <translation>Prenderlo come persona nuova</translation>
    </message>
    <message>
        <source>Take it in, beside what %1 has here</source>
        <translation>Prenderlo, accanto a ciò che %1 ha qui</translation>
    </message>
    <message>
        <source>Nothing that is here is overwritten. Films of %1 MB come with it.</source>
        <translation>Nulla di ciò che è qui viene sovrascritto. Arrivano filmati per %1 MB.</translation>
    </message>
    <message>
        <source>Take in</source>
        <translation>Prendi</translation>
    </message>
    <message>
        <source>Cancel</source>
        <translation>Annulla</translation>
    </message>
</context>
<context>
    <name>riflesso::AskDialog</name>
    <message>
        <source>Ask this frame</source>
        <translation>Interroga questo fotogramma</translation>
    </message>
    <message>
        <source>And on another frame (T)</source>
        <translation>E su un altro fotogramma (T)</translation>
    </message>
    <message>
        <source>Keeps these points; step to another frame and click the same ones again.</source>
        <translation>Tiene questi punti; vai a un altro fotogramma e clicca di nuovo gli stessi.</translation>
    </message>
    <message>
        <source>Keep it as a finding</source>
        <translation>Tienilo come rilievo</translation>
    </message>
    <message>
        <source>Clear</source>
        <translation>Svuota</translation>
    </message>
    <message>
        <source>Close</source>
        <translation>Chiudi</translation>
    </message>
    <message>
        <source>What these points can answer</source>
        <translation>A che cosa rispondono questi punti</translation>
    </message>
    <message>
        <source>Frame %1 of “%2”. Two points: a length, a lean. Three: an angle. Four: two lines.</source>
        <translation>Fotogramma %1 di «%2». Due punti: una lunghezza, un&apos;inclinazione. Tre: un angolo. Quattro: due linee.</translation>
    </message>
    <message>
        <source>Frames %1 and %2. Click the same points again, or only read the time.</source>
        <translation>Fotogrammi %1 e %2. Clicca di nuovo gli stessi punti, o leggi solo il tempo.</translation>
    </message>
    <message>
        <source>One frame only (T)</source>
        <translation>Un solo fotogramma (T)</translation>
    </message>
    <message>
        <source>%1; frame %2 of “%3”</source>
        <translation>%1; fotogramma %2 di «%3»</translation>
    </message>
    <message>
        <source>Begin a technique with it (W)</source>
        <translation>Comincia con questo una tecnica (W)</translation>
    </message>
    <message>
        <source>Opens the workshop with a new blueprint whose first measure is this one. Its points must be marked landmarks.</source>
        <translation>Apre l&apos;officina con una nuova scheda la cui prima misura è questa. I suoi punti devono essere punti marcati.</translation>
    </message>
    <message>
        <source>Count a cycle (C)</source>
        <translation>Conta un ciclo (C)</translation>
    </message>
    <message>
        <source>Step to the same moment of each cycle and count it: the first press is where counting begins.</source>
        <translation>Vai allo stesso momento di ogni ciclo e contalo: la prima pressione è dove comincia il conteggio.</translation>
    </message>
    <message>
        <source>Frames %1 and %2: %3 counted. Click the same points again, or go on counting.</source>
        <translation>Fotogrammi %1 e %2: contati %3. Clicca di nuovo gli stessi punti, o continua a contare.</translation>
    </message>
    <message>
        <source>cycle</source>
        <translation>ciclo</translation>
    </message>
    <message>
        <source>cycles</source>
        <translation>cicli</translation>
    </message>
    <message>
        <source>New technique</source>
        <translation>Nuova tecnica</translation>
    </message>
</context>
<context>
    <name>riflesso::AskView</name>
    <message>
        <source>The frame; click points on it</source>
        <translation>Il fotogramma; cliccaci i punti</translation>
    </message>
</context>
<context>
    <name>riflesso::AthletePage</name>
    <message>
        <source>One week of minutes, all techniques</source>
        <translation>Una settimana di minuti, tutte le tecniche</translation>
    </message>
    <message>
        <source>%1 min</source>
        <translation>%1 min</translation>
    </message>
    <message>
        <source>free</source>
        <translation>libero</translation>
    </message>
    <message>
        <source>Another technique …</source>
        <translation>Un&apos;altra tecnica …</translation>
    </message>
    <message>
        <source>Techniques</source>
        <translation>Tecniche</translation>
    </message>
    <message>
        <source>no focus yet</source>
        <translation>ancora nessun focus</translation>
    </message>
    <message>
        <source>works on: %1</source>
        <translation>lavora su: %1</translation>
    </message>
    <message>
        <source>also seen: %1</source>
        <translation>visto anche: %1</translation>
    </message>
    <message>
        <source>held: %1</source>
        <translation>tenuto: %1</translation>
    </message>
    <message>
        <source>next: %1</source>
        <translation>prossimo passo: %1</translation>
    </message>
    <message>
        <source>competition on %1</source>
        <translation>gara il %1</translation>
    </message>
    <message>
        <source>No technique yet.</source>
        <translation>Ancora nessuna tecnica.</translation>
    </message>
    <message>
        <source>%1 things are worked on at once over all techniques. Two at most stay in one head: park one.</source>
        <translation>Fra tutte le tecniche si lavora a %1 cose insieme. In testa ne stanno due al massimo: mettine una da parte.</translation>
    </message>
    <message>
        <source>What they share</source>
        <translation>Che cosa hanno in comune</translation>
    </message>
    <message>
        <source>%1 (%2)</source>
        <translation>%1 (%2)</translation>
    </message>
    <message>
        <source>&lt;b&gt;%1&lt;/b&gt;, in %2 of %3 techniques: %4</source>
        <translation>&lt;b&gt;%1&lt;/b&gt;, in %2 tecniche su %3: %4</translation>
    </message>
    <message>
        <source>One technique so far. With a second one stands here what both lack.</source>
        <translation>Finora una sola tecnica. Con una seconda qui si legge che cosa manca a entrambe.</translation>
    </message>
    <message>
        <source>No part of the body shows up in the faults of two techniques.</source>
        <translation>Nessuna parte del corpo compare nei difetti di due tecniche.</translation>
    </message>
    <message>
        <source>Injuries and limits</source>
        <translation>Infortuni e limiti</translation>
    </message>
    <message>
        <source>Nothing is noted. Ask before the first rep of each day.</source>
        <translation>Non è annotato nulla. Chiedi prima della prima ripetizione di ogni giorno.</translation>
    </message>
    <message>
        <source>What hurts is left out, and seen by a physician or physiotherapist.</source>
        <translation>Ciò che fa male si lascia fuori, e lo vede un medico o un fisioterapista.</translation>
    </message>
    <message>
        <source>One week of minutes</source>
        <translation>Una settimana di minuti</translation>
    </message>
    <message>
        <source>Hand over as a file …</source>
        <translation>Consegna come file …</translation>
    </message>
    <message>
        <source>Everything of this person as one file that Riflesso opens elsewhere.</source>
        <translation>Tutto di questa persona in un solo file che Riflesso apre altrove.</translation>
    </message>
    <message>
        <source>The other entry</source>
        <translation>L&apos;altra voce</translation>
    </message>
    <message>
        <source>The same person as …</source>
        <translation>La stessa persona di …</translation>
    </message>
    <message>
        <source>Make one</source>
        <translation>Fanne una</translation>
    </message>
    <message>
        <source>Delete wholly …</source>
        <translation>Elimina del tutto …</translation>
    </message>
    <message>
        <source>At once, films included, with a list of what went: a guardian may ask for it.</source>
        <translation>Subito, filmati compresi, con l&apos;elenco di ciò che è andato: un genitore può chiederlo.</translation>
    </message>
    <message>
        <source>Close</source>
        <translation>Chiudi</translation>
    </message>
    <message>
        <source>%1: %2 cm</source>
        <translation>%1: %2 cm</translation>
    </message>
    <message>
        <source>Stature by date</source>
        <translation>Statura per data</translation>
    </message>
    <message>
        <source>%1 cm</source>
        <translation>%1 cm</translation>
    </message>
    <message>
        <source>Growth</source>
        <translation>Crescita</translation>
    </message>
    <message>
        <source>%1 cm (%2)</source>
        <translation>%1 cm (%2)</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>%1, now %2</source>
        <translation>%1, ora %2</translation>
    </message>
</context>
<context>
    <name>riflesso::BandPlot</name>
    <message>
        <source>Band of the target on the reps of this case; drag its edges</source>
        <translation>Fascia dell&apos;obiettivo sulle ripetizioni di questo caso; trascinane i bordi</translation>
    </message>
    <message>
        <source>No rep of this case gives it a value yet</source>
        <translation>Nessuna ripetizione di questo caso le dà ancora un valore</translation>
    </message>
</context>
<context>
    <name>riflesso::BandRows</name>
    <message>
        <source>Measures on their bands</source>
        <translation>Misure sulle loro fasce</translation>
    </message>
    <message>
        <source>No measure is judged yet.</source>
        <translation>Nessuna misura è ancora giudicata.</translation>
    </message>
</context>
<context>
    <name>riflesso::BeforeAfter</name>
    <message>
        <source>Before and after, the model below</source>
        <translation>Prima e dopo, sotto il modello</translation>
    </message>
    <message>
        <source>no picture yet</source>
        <translation>ancora nessuna immagine</translation>
    </message>
    <message>
        <source>model</source>
        <translation>modello</translation>
    </message>
    <message>
        <source>Click two days to see them beside one another.</source>
        <translation>Clicca due giorni per vederli uno accanto all&apos;altro.</translation>
    </message>
    <message>
        <source>Click for the strip of all days (Space). Left and right change the first, with Shift the second.</source>
        <translation>Clicca per la striscia di tutti i giorni (Spazio). Sinistra e destra cambiano il primo, con Maiusc il secondo.</translation>
    </message>
</context>
<context>
    <name>riflesso::BodyMap</name>
    <message>
        <source>Body map: injuries, stiffness, pain</source>
        <translation>Mappa del corpo: infortuni, rigidità, dolore</translation>
    </message>
    <message>
        <source>nothing is noted</source>
        <translation>nulla di annotato</translation>
    </message>
    <message>
        <source>from the front</source>
        <translation>di fronte</translation>
    </message>
    <message>
        <source>from behind</source>
        <translation>da dietro</translation>
    </message>
    <message>
        <source>since</source>
        <translation>dal</translation>
    </message>
    <message>
        <source>hurts now</source>
        <translation>fa male adesso</translation>
    </message>
    <message>
        <source>What it is</source>
        <translation>Che cos&apos;è</translation>
    </message>
    <message>
        <source>What hurts is for a doctor or a physiotherapist, not for a drill. The program plans nothing for a place that hurts.</source>
        <translation>Ciò che fa male è per un medico o un fisioterapista, non per un esercizio. Il programma non prevede nulla per un punto che fa male.</translation>
    </message>
    <message>
        <source>Nothing any more</source>
        <translation>Più niente</translation>
    </message>
</context>
<context>
    <name>riflesso::BreakChart</name>
    <message>
        <source>No rep of the athlete is measured yet.</source>
        <translation>Nessuna ripetizione dell&apos;atleta è ancora misurata.</translation>
    </message>
    <message>
        <source>%1 %</source>
        <translation>%1 %</translation>
    </message>
    <message>
        <source>%1 of %2</source>
        <translation>%1 di %2</translation>
    </message>
    <message>
        <source>owned</source>
        <translation>posseduto</translation>
    </message>
    <message>
        <source>breaks</source>
        <translation>si rompe</translation>
    </message>
    <message>
        <source>in between, or too few</source>
        <translation>nel mezzo, o troppo poche</translation>
    </message>
    <message>
        <source>Where it breaks</source>
        <translation>Dove si rompe</translation>
    </message>
    <message>
        <source>not filmed lately</source>
        <translation>non filmato di recente</translation>
    </message>
    <message>
        <source>circle: since %1 · square: before</source>
        <translation>cerchio: dal %1 · quadrato: prima</translation>
    </message>
</context>
<context>
    <name>riflesso::BriefPage</name>
    <message>
        <source>left-handed</source>
        <translation>mancino</translation>
    </message>
    <message>
        <source>right-handed</source>
        <translation>destrimano</translation>
    </message>
    <message>
        <source>under age: a guardian has agreed to filming</source>
        <translation>minorenne: un genitore ha acconsentito alle riprese</translation>
    </message>
    <message>
        <source>What the athlete thinks</source>
        <translation>Che cosa pensa l&apos;atleta</translation>
    </message>
    <message>
        <source>In the athlete&apos;s own words</source>
        <translation>Con le parole dell&apos;atleta</translation>
    </message>
    <message>
        <source>What other coaches said</source>
        <translation>Che cosa hanno detto altri allenatori</translation>
    </message>
    <message>
        <source>Cues already heard, and which one is nagged about</source>
        <translation>Richiami già sentiti, e quale viene ripetuto di continuo</translation>
    </message>
    <message>
        <source>Injuries</source>
        <translation>Infortuni</translation>
    </message>
    <message>
        <source>Old injuries, stiff joints, pain now</source>
        <translation>Vecchi infortuni, articolazioni rigide, dolore adesso</translation>
    </message>
    <message>
        <source>wants to rebuild this movement</source>
        <translation>vuole ricostruire questo movimento</translation>
    </message>
    <message>
        <source>common to all schools</source>
        <translation>comune a tutte le scuole</translation>
    </message>
    <message>
        <source>model performances</source>
        <translation>prestazioni modello</translation>
    </message>
    <message>
        <source>the athlete&apos;s own best reps</source>
        <translation>le migliori ripetizioni dell&apos;atleta</translation>
    </message>
    <message>
        <source>the athlete&apos;s last day</source>
        <translation>l&apos;ultimo giorno dell&apos;atleta</translation>
    </message>
    <message>
        <source>the athlete&apos;s calmest reps</source>
        <translation>le ripetizioni più calme dell&apos;atleta</translation>
    </message>
    <message>
        <source>What targets that come from a model are made of</source>
        <translation>Di che cosa sono fatti gli obiettivi che vengono da un modello</translation>
    </message>
    <message>
        <source>From a file …</source>
        <translation>Da un file …</translation>
    </message>
    <message>
        <source>A model performance that was measured elsewhere, besides the model takes of this case</source>
        <translation>Una prestazione modello misurata altrove, oltre alle riprese modello di questo caso</translation>
    </message>
    <message>
        <source>None</source>
        <translation>Nessuno</translation>
    </message>
    <message>
        <source>Take the models from files away</source>
        <translation>Togli i modelli presi da file</translation>
    </message>
    <message>
        <source>Shelf</source>
        <translation>Scaffale</translation>
    </message>
    <message>
        <source>Models that were kept for every case of this technique</source>
        <translation>Modelli tenuti per ogni caso di questa tecnica</translation>
    </message>
    <message>
        <source>Who</source>
        <translation>Chi</translation>
    </message>
    <message>
        <source>Athlete</source>
        <translation>Atleta</translation>
    </message>
    <message>
        <source>Hand</source>
        <translation>Mano</translation>
    </message>
    <message>
        <source>Level</source>
        <translation>Livello</translation>
    </message>
    <message>
        <source>Technique</source>
        <translation>Tecnica</translation>
    </message>
    <message>
        <source>School</source>
        <translation>Scuola</translation>
    </message>
    <message>
        <source>Compared with</source>
        <translation>Confrontato con</translation>
    </message>
    <message>
        <source>Models</source>
        <translation>Modelli</translation>
    </message>
    <message>
        <source>Goal</source>
        <translation>Traguardo</translation>
    </message>
    <message>
        <source>Ask before looking</source>
        <translation>Chiedi prima di guardare</translation>
    </message>
    <message>
        <source>What do you think holds you back?</source>
        <translation>Che cosa pensi che ti freni?</translation>
    </message>
    <message>
        <source>What have other coaches told you?</source>
        <translation>Che cosa ti hanno detto altri allenatori?</translation>
    </message>
    <message>
        <source>Injuries and stiff joints</source>
        <translation>Infortuni e articolazioni rigide</translation>
    </message>
    <message>
        <source>How big is it? The athlete&apos;s guess, before the film</source>
        <translation>Quanto è grande? La stima dell&apos;atleta, prima del filmato</translation>
    </message>
    <message>
        <source>Measure to guess</source>
        <translation>Misura da stimare</translation>
    </message>
    <message>
        <source>nothing</source>
        <translation>nulla</translation>
    </message>
    <message>
        <source>Guess</source>
        <translation>Stima</translation>
    </message>
    <message>
        <source>Time that is really there</source>
        <translation>Il tempo che c&apos;è davvero</translation>
    </message>
    <message>
        <source>Mon</source>
        <translation>Lun</translation>
    </message>
    <message>
        <source>Tue</source>
        <translation>Mar</translation>
    </message>
    <message>
        <source>Wed</source>
        <translation>Mer</translation>
    </message>
    <message>
        <source>Thu</source>
        <translation>Gio</translation>
    </message>
    <message>
        <source>Fri</source>
        <translation>Ven</translation>
    </message>
    <message>
        <source>Sat</source>
        <translation>Sab</translation>
    </message>
    <message>
        <source>Sun</source>
        <translation>Dom</translation>
    </message>
    <message>
        <source>Minutes on %1</source>
        <translation>Minuti di %1</translation>
    </message>
    <message>
        <source>rest</source>
        <translation>riposo</translation>
    </message>
    <message>
        <source>alone</source>
        <translation>da solo</translation>
    </message>
    <message>
        <source>No partner is there on %1: drills for two are planned for other days.</source>
        <translation>%1 non c&apos;è un compagno: gli esercizi in due vanno ad altri giorni.</translation>
    </message>
    <message>
        <source>Alone on %1</source>
        <translation>Da solo di %1</translation>
    </message>
    <message>
        <source>Body</source>
        <translation>Corpo</translation>
    </message>
    <message>
        <source>Click a place: what it is, since when, does it hurt now.</source>
        <translation>Clicca un punto: che cos&apos;è, da quando, fa male adesso.</translation>
    </message>
    <message>
        <source>Stature today</source>
        <translation>Statura oggi</translation>
    </message>
    <message>
        <source> cm</source>
        <translation> cm</translation>
    </message>
    <message>
        <source>not measured</source>
        <translation>non misurata</translation>
    </message>
    <message>
        <source>Cautions</source>
        <translation>Avvertenze</translation>
    </message>
    <message>
        <source>%1 (%2)</source>
        <translation>%1 (%2)</translation>
    </message>
    <message>
        <source>the case&apos;s own takes</source>
        <translation>le riprese del caso stesso</translation>
    </message>
    <message>
        <source>In numbers: %1 from %2 to %3%4</source>
        <translation>In numeri: %1 da %2 a %3%4</translation>
    </message>
    <message>
        <source> by %1</source>
        <translation> entro il %1</translation>
    </message>
    <message>
        <source>In numbers: set it in Findings, on the measure itself.</source>
        <translation>In numeri: fissalo nei Rilievi, sulla misura stessa.</translation>
    </message>
    <message>
        <source>Not measured yet.</source>
        <translation>Non ancora misurato.</translation>
    </message>
    <message>
        <source>A model performance</source>
        <translation>Una prestazione modello</translation>
    </message>
    <message>
        <source>Model performances (*.json)</source>
        <translation>Prestazioni modello (*.json)</translation>
    </message>
    <message>
        <source>Use %1 (%2)</source>
        <translation>Usa %1 (%2)</translation>
    </message>
    <message>
        <source>nothing is kept yet</source>
        <translation>ancora nulla è tenuto</translation>
    </message>
    <message>
        <source>Put this case&apos;s model there …</source>
        <translation>Metti lì il modello di questo caso …</translation>
    </message>
    <message>
        <source>Model shelf</source>
        <translation>Scaffale dei modelli</translation>
    </message>
    <message>
        <source>Under which name?</source>
        <translation>Con quale nome?</translation>
    </message>
    <message>
        <source>Day of a main competition</source>
        <translation>Giorno di una gara principale</translation>
    </message>
    <message>
        <source>Add</source>
        <translation>Aggiungi</translation>
    </message>
    <message>
        <source>A main competition on this day</source>
        <translation>Una gara principale in questo giorno</translation>
    </message>
    <message>
        <source>Main competitions</source>
        <translation>Gare principali</translation>
    </message>
    <message>
        <source>Nothing new is introduced in the two weeks before one.</source>
        <translation>Nelle due settimane prima di una gara non si introduce nulla di nuovo.</translation>
    </message>
    <message>
        <source>%1  ×</source>
        <translation>%1  ×</translation>
    </message>
    <message>
        <source>%1: take it away</source>
        <translation>%1: toglila</translation>
    </message>
    <message>
        <source>Competition on %1, take it away</source>
        <translation>Gara il %1, toglila</translation>
    </message>
    <message>
        <source>and %1 more</source>
        <translation>e altre %1</translation>
    </message>
    <message>
        <source>home</source>
        <translation>casa</translation>
    </message>
    <message>
        <source>%1 is practised at home: only drills that can be done there are planned.</source>
        <translation>%1: ci si allena a casa, in programma vanno solo gli esercizi che si possono fare lì.</translation>
    </message>
    <message>
        <source>At home on %1</source>
        <translation>A casa %1</translation>
    </message>
    <message>
        <source>What is at hand</source>
        <translation>Che cosa c&apos;è</translation>
    </message>
    <message>
        <source>club</source>
        <translation>club</translation>
    </message>
    <message>
        <source>%1 at the club</source>
        <translation>%1 al club</translation>
    </message>
    <message>
        <source>%1 at home</source>
        <translation>%1 a casa</translation>
    </message>
    <message>
        <source>%1: drills that need it are planned where it is ticked.</source>
        <translation>%1: gli esercizi che lo richiedono vanno in programma dove è spuntato.</translation>
    </message>
    <message>
        <source>minutes</source>
        <translation>minuti</translation>
    </message>
    <message>
        <source>at home</source>
        <translation>a casa</translation>
    </message>
    <message>
        <source>For technique, on each day</source>
        <translation>Per la tecnica, ogni giorno</translation>
    </message>
</context>
<context>
    <name>riflesso::CalibratePanel</name>
    <message>
        <source>Known length</source>
        <translation>Lunghezza nota</translation>
    </message>
    <message>
        <source>Width of the rectangle</source>
        <translation>Larghezza del rettangolo</translation>
    </message>
    <message>
        <source>Height of the rectangle</source>
        <translation>Altezza del rettangolo</translation>
    </message>
    <message>
        <source>Place of the point to the right</source>
        <translation>Posizione del punto verso destra</translation>
    </message>
    <message>
        <source>Place of the point upwards</source>
        <translation>Posizione del punto verso l&apos;alto</translation>
    </message>
    <message>
        <source>Camera to the movement</source>
        <translation>Distanza fra telecamera e movimento</translation>
    </message>
    <message>
        <source>By how much the movement leaves the plane</source>
        <translation>Di quanto il movimento esce dal piano</translation>
    </message>
    <message>
        <source>not known</source>
        <translation>non nota</translation>
    </message>
    <message>
        <source>Vertical</source>
        <translation>Verticale</translation>
    </message>
    <message>
        <source>Something that hangs or stands upright.</source>
        <translation>Qualcosa che pende o sta dritto.</translation>
    </message>
    <message>
        <source>Level</source>
        <translation>Livello</translation>
    </message>
    <message>
        <source>The floor line seen from the side.</source>
        <translation>La linea del pavimento vista di lato.</translation>
    </message>
    <message>
        <source>In the plane in which the athlete moves.</source>
        <translation>Nel piano in cui si muove l&apos;atleta.</translation>
    </message>
    <message>
        <source>Rectangle</source>
        <translation>Rettangolo</translation>
    </message>
    <message>
        <source>Four corners of known size undo the perspective.</source>
        <translation>Quattro angoli di misura nota tolgono la prospettiva.</translation>
    </message>
    <message>
        <source>Known point</source>
        <translation>Punto noto</translation>
    </message>
    <message>
        <source>More points show how well the plane fits.</source>
        <translation>Altri punti mostrano quanto bene il piano torna.</translation>
    </message>
    <message>
        <source>Straight edge</source>
        <translation>Bordo dritto</translation>
    </message>
    <message>
        <source>For lenses that bend the picture: an edge near the border.</source>
        <translation>Per obiettivi che curvano l&apos;immagine: un bordo vicino al margine.</translation>
    </message>
    <message>
        <source>Measure</source>
        <translation>Misura</translation>
    </message>
    <message>
        <source>A second length you know: see the error.</source>
        <translation>Una seconda lunghezza che conosci: vedi l&apos;errore.</translation>
    </message>
    <message>
        <source>Camera distance</source>
        <translation>Distanza della telecamera</translation>
    </message>
    <message>
        <source>Leaves the plane by</source>
        <translation>Esce dal piano di</translation>
    </message>
    <message>
        <source>Does the camera move?</source>
        <translation>La telecamera si muove?</translation>
    </message>
    <message>
        <source>Follows the background through the film.</source>
        <translation>Segue lo sfondo lungo il filmato.</translation>
    </message>
    <message>
        <source>Take its movement out of the marks</source>
        <translation>Togli il suo movimento dai segni</translation>
    </message>
    <message>
        <source>draw the vertical</source>
        <translation>tracciare la verticale</translation>
    </message>
    <message>
        <source>draw the level</source>
        <translation>tracciare l&apos;orizzontale</translation>
    </message>
    <message>
        <source>draw a known length</source>
        <translation>tracciare una lunghezza nota</translation>
    </message>
    <message>
        <source>m</source>
        <translation>m</translation>
    </message>
    <message>
        <source>px</source>
        <translation>px</translation>
    </message>
    <message>
        <source>%1 ± %2 %3</source>
        <translation>%1 ± %2 %3</translation>
    </message>
    <message>
        <source>Measured %1 ± %2 %3. What should it be?</source>
        <translation>Misurato %1 ± %2 %3. Quanto dovrebbe essere?</translation>
    </message>
    <message>
        <source>draw a rectangle</source>
        <translation>tracciare un rettangolo</translation>
    </message>
    <message>
        <source>set a known point</source>
        <translation>porre un punto noto</translation>
    </message>
    <message>
        <source>draw a straight edge</source>
        <translation>tracciare un bordo dritto</translation>
    </message>
    <message>
        <source>move a drawn end</source>
        <translation>spostare un estremo tracciato</translation>
    </message>
    <message>
        <source>set the camera&apos;s distance</source>
        <translation>fissare la distanza della telecamera</translation>
    </message>
    <message>
        <source>say how far the movement leaves the plane</source>
        <translation>dire di quanto il movimento esce dal piano</translation>
    </message>
    <message>
        <source>take the camera&apos;s movement out</source>
        <translation>togliere il movimento della telecamera</translation>
    </message>
    <message>
        <source>a vertical</source>
        <translation>una verticale</translation>
    </message>
    <message>
        <source>take the vertical away</source>
        <translation>togliere la verticale</translation>
    </message>
    <message>
        <source>a level line</source>
        <translation>un orizzontale</translation>
    </message>
    <message>
        <source>take the level away</source>
        <translation>togliere l&apos;orizzontale</translation>
    </message>
    <message>
        <source>a length of %1 m</source>
        <translation>una lunghezza di %1 m</translation>
    </message>
    <message>
        <source>take a length away</source>
        <translation>togliere una lunghezza</translation>
    </message>
    <message>
        <source>known point</source>
        <translation>punto noto</translation>
    </message>
    <message>
        <source>known points</source>
        <translation>punti noti</translation>
    </message>
    <message>
        <source>take the points away</source>
        <translation>togliere i punti</translation>
    </message>
    <message>
        <source>straight edge</source>
        <translation>bordo dritto</translation>
    </message>
    <message>
        <source>straight edges</source>
        <translation>bordi dritti</translation>
    </message>
    <message>
        <source>take the edges away</source>
        <translation>togliere i bordi</translation>
    </message>
    <message>
        <source>Nothing is drawn: leans are read against the picture&apos;s own edge, lengths in body segments.</source>
        <translation>Non è tracciato nulla: le inclinazioni si leggono sul bordo dell&apos;immagine, le lunghezze in segmenti del corpo.</translation>
    </message>
    <message>
        <source>Lengths are in metres.</source>
        <translation>Le lunghezze sono in metri.</translation>
    </message>
    <message>
        <source>No length is known: lengths in body segments.</source>
        <translation>Nessuna lunghezza è nota: lunghezze in segmenti del corpo.</translation>
    </message>
    <message>
        <source>The true vertical leans %1 ± %2° in the picture; leans are set right by it.</source>
        <translation>La vera verticale pende di %1 ± %2° nell&apos;immagine; le inclinazioni ne tengono conto.</translation>
    </message>
    <message>
        <source>What is drawn fits to %1 px.</source>
        <translation>Ciò che è tracciato torna entro %1 px.</translation>
    </message>
    <message>
        <source>Four points always fit: a fifth would check them.</source>
        <translation>Quattro punti tornano sempre: un quinto li verificherebbe.</translation>
    </message>
    <message>
        <source>Mind: %1.</source>
        <translation>Attenzione: %1.</translation>
    </message>
    <message>
        <source>The camera stands still (within %1 px).</source>
        <translation>La telecamera sta ferma (entro %1 px).</translation>
    </message>
    <message>
        <source>Mind: the camera moves by up to %1 px (%2 % of the width) and turns by up to %3°%4.</source>
        <translation>Attenzione: la telecamera si sposta fino a %1 px (%2 % della larghezza) e ruota fino a %3°%4.</translation>
    </message>
    <message>
        <source>; this is taken out</source>
        <translation>; ne è tenuto conto</translation>
    </message>
    <message>
        <source>. Positions and leans are wrong by as much</source>
        <translation>. Posizioni e inclinazioni sono sbagliate di altrettanto</translation>
    </message>
</context>
<context>
    <name>riflesso::CameraPanel</name>
    <message>
        <source>Camera</source>
        <translation>Telecamera</translation>
    </message>
    <message>
        <source>Start the camera</source>
        <translation>Avvia la telecamera</translation>
    </message>
    <message>
        <source>Record (R)</source>
        <translation>Registra (R)</translation>
    </message>
    <message>
        <source> s ago</source>
        <translation> s fa</translation>
    </message>
    <message>
        <source>Delay of the mirror</source>
        <translation>Ritardo dello specchio</translation>
    </message>
    <message>
        <source>Back to the films (Esc)</source>
        <translation>Torna ai filmati (Esc)</translation>
    </message>
    <message>
        <source>No camera is running. What is filmed stays on this computer. Ask before filming; a minor&apos;s guardian too.</source>
        <translation>Nessuna telecamera è accesa. Ciò che si filma resta su questo computer. Chiedi prima di filmare; per un minorenne anche a un genitore.</translation>
    </message>
    <message>
        <source>Live picture</source>
        <translation>Immagine dal vivo</translation>
    </message>
    <message>
        <source>Choose a camera and start it.</source>
        <translation>Scegli una telecamera e avviala.</translation>
    </message>
    <message>
        <source>Delayed mirror</source>
        <translation>Specchio in ritardo</translation>
    </message>
    <message>
        <source>Here the picture of some seconds ago will be: do a rep, then look.</source>
        <translation>Qui starà l&apos;immagine di qualche secondo fa: fai una ripetizione, poi guarda.</translation>
    </message>
    <message>
        <source>Now</source>
        <translation>Adesso</translation>
    </message>
    <message>
        <source>Starting …</source>
        <translation>Avvio …</translation>
    </message>
    <message>
        <source>Stop the camera</source>
        <translation>Spegni la telecamera</translation>
    </message>
    <message>
        <source>The camera is off.</source>
        <translation>La telecamera è spenta.</translation>
    </message>
    <message>
        <source>End the recording (R)</source>
        <translation>Fine della registrazione (R)</translation>
    </message>
    <message>
        <source>%1 s to go until the mirror has something to show</source>
        <translation>ancora %1 s prima che lo specchio abbia qualcosa da mostrare</translation>
    </message>
    <message>
        <source>The memory does not reach back so far: at most %1 s</source>
        <translation>La memoria non arriva così indietro: %1 s al massimo</translation>
    </message>
    <message>
        <source>● Recording. The film becomes a take of this case when it ends.</source>
        <translation>● In registrazione. Quando finisce, il filmato diventa una ripresa di questo caso.</translation>
    </message>
    <message>
        <source>Running since %1 s. Nothing is being recorded.</source>
        <translation>Accesa da %1 s. Non si registra nulla.</translation>
    </message>
    <message>
        <source>Next set (S)</source>
        <translation>Prossima serie (S)</translation>
    </message>
    <message>
        <source>The film so far is one set, what follows another: before and after a hint.</source>
        <translation>Il filmato fin qui è una serie, ciò che segue un&apos;altra: prima e dopo un&apos;indicazione.</translation>
    </message>
    <message>
        <source>set %1</source>
        <translation>serie %1</translation>
    </message>
</context>
<context>
    <name>riflesso::Carrier</name>
    <message>
        <source>Carry the %1 anew</source>
        <translation>Segui di nuovo %1</translation>
    </message>
    <message>
        <source>Rep %1 as rep %2</source>
        <translation>La ripetizione %1 come la ripetizione %2</translation>
    </message>
    <message>
        <source>Rep %1 has no frame on which a hand has marked the body.</source>
        <translation>Nella ripetizione %1 nessun fotogramma ha il corpo marcato a mano.</translation>
    </message>
    <message>
        <source>Draft of “%1”</source>
        <translation>Bozza di «%1»</translation>
    </message>
    <message>
        <source>%1 marks drafted on %2%3. Drafts, not measurements: press W for those that matter.</source>
        <translation>%1 segni in bozza su %2%3. Bozze, non misure: premi W per quelli che contano.</translation>
    </message>
    <message>
        <source>frame</source>
        <translation>fotogramma</translation>
    </message>
    <message>
        <source>frames</source>
        <translation>fotogrammi</translation>
    </message>
    <message>
        <source>, then stopped</source>
        <translation>, poi fermata</translation>
    </message>
    <message>
        <source>Nobody was found on %1, the first is %2.</source>
        <translation>Nessuno trovato su %1, il primo è %2.</translation>
    </message>
    <message>
        <source>On frames %1 to %2 somebody else seems to stand in the athlete&apos;s place: nothing is drafted there; mark those that matter by hand.</source>
        <translation>Sui fotogrammi da %1 a %2 sembra esserci qualcun altro al posto dell&apos;atleta: lì nessuna bozza; marca a mano quelli che contano.</translation>
    </message>
    <message>
        <source>On frames %1 to %2 the body in the box seems to be somebody else: nothing is drafted there. Go there and draw a new box if it is the athlete after all.</source>
        <translation>Sui fotogrammi da %1 a %2 il corpo nel riquadro sembra di qualcun altro: lì nessuna bozza. Vacci e traccia un riquadro nuovo se è comunque l&apos;atleta.</translation>
    </message>
    <message>
        <source>%1 (%2)</source>
        <translation>%1 (%2)</translation>
    </message>
    <message>
        <source>%1 marks carried%2. %3</source>
        <translation>%1 segni riportati%2. %3</translation>
    </message>
    <message>
        <source>Covered on some frames: %1.</source>
        <translation>Coperti su alcuni fotogrammi: %1.</translation>
    </message>
    <message>
        <source>mark another person</source>
        <translation>marca un&apos;altra persona</translation>
    </message>
    <message>
        <source>Draft of %1 in “%2”</source>
        <translation>Bozza di %1 in «%2»</translation>
    </message>
</context>
<context>
    <name>riflesso::CaseStrip</name>
    <message>
        <source>The one thing to do next (Ctrl+Return).</source>
        <translation>La sola cosa da fare adesso (Ctrl+Invio).</translation>
    </message>
    <message>
        <source>‹ Athletes</source>
        <translation>‹ Atleti</translation>
    </message>
    <message>
        <source>Back to the shelf (Ctrl+0).</source>
        <translation>Torna allo scaffale (Ctrl+0).</translation>
    </message>
    <message>
        <source>Next:</source>
        <translation>Prossimo:</translation>
    </message>
    <message>
        <source>New athlete</source>
        <translation>Nuovo atleta</translation>
    </message>
    <message>
        <source>Measuring …</source>
        <translation>Misuro …</translation>
    </message>
    <message>
        <source>Next: %1</source>
        <translation>Prossimo: %1</translation>
    </message>
</context>
<context>
    <name>riflesso::CaseView</name>
    <message>
        <source>Understood</source>
        <translation>Capito</translation>
    </message>
    <message>
        <source>Look at them (W)</source>
        <translation>Guardali (W)</translation>
    </message>
    <message>
        <source>Findings</source>
        <translation>Rilievi</translation>
    </message>
    <message>
        <source>Close</source>
        <translation>Chiudi</translation>
    </message>
    <message>
        <source>Draw a box round the athlete, press Enter, and read it again when the draft is there.</source>
        <translation>Disegna un riquadro attorno all&apos;atleta, premi Invio, e leggi di nuovo quando la bozza c&apos;è.</translation>
    </message>
</context>
<context>
    <name>riflesso::Casebook</name>
    <message>
        <source>This step can no longer be taken: another program has changed %1 since.</source>
        <translation>Questo passo non si può più fare: nel frattempo un altro programma ha cambiato %1.</translation>
    </message>
    <message>
        <source>change the brief</source>
        <translation>cambiare l&apos;incontro</translation>
    </message>
    <message>
        <source>add the film %1</source>
        <translation>aggiungere il filmato %1</translation>
    </message>
    <message>
        <source>keep a note</source>
        <translation>tenere una nota</translation>
    </message>
    <message>
        <source>change a note</source>
        <translation>cambiare una nota</translation>
    </message>
    <message>
        <source>remove a note</source>
        <translation>togliere una nota</translation>
    </message>
    <message>
        <source>remove the film %1</source>
        <translation>togliere il filmato %1</translation>
    </message>
    <message>
        <source>add rep %1</source>
        <translation>aggiungere la ripetizione %1</translation>
    </message>
    <message>
        <source>remove rep %1</source>
        <translation>togliere la ripetizione %1</translation>
    </message>
    <message>
        <source>place %1</source>
        <translation>porre %1</translation>
    </message>
    <message>
        <source>propose key positions</source>
        <translation>proponi posizioni chiave</translation>
    </message>
    <message>
        <source>accept %1</source>
        <translation>accettare %1</translation>
    </message>
    <message>
        <source>accept key positions</source>
        <translation>accettare posizioni chiave</translation>
    </message>
    <message>
        <source>swap left and right</source>
        <translation>scambiare destra e sinistra</translation>
    </message>
    <message>
        <source>begin a repeat marking</source>
        <translation>cominciare una seconda marcatura</translation>
    </message>
    <message>
        <source>remove a repeat marking</source>
        <translation>togliere una seconda marcatura</translation>
    </message>
    <message>
        <source>take a key position away</source>
        <translation>togliere una posizione chiave</translation>
    </message>
    <message>
        <source>move the %1</source>
        <translation>spostare %1</translation>
    </message>
    <message>
        <source>mark the %1</source>
        <translation>marcare %1</translation>
    </message>
    <message>
        <source>take the mark of the %1 away</source>
        <translation>togliere il segno di %1</translation>
    </message>
    <message>
        <source>accept a rep</source>
        <translation>accettare una ripetizione</translation>
    </message>
    <message>
        <source>accept %1 reps</source>
        <translation>accettare %1 ripetizioni</translation>
    </message>
    <message>
        <source>split rep %1</source>
        <translation>dividere la ripetizione %1</translation>
    </message>
    <message>
        <source>merge reps %1 and %2</source>
        <translation>unire le ripetizioni %1 e %2</translation>
    </message>
    <message>
        <source>lock two films</source>
        <translation>agganciare due filmati</translation>
    </message>
    <message>
        <source>unlock two films</source>
        <translation>sganciare due filmati</translation>
    </message>
    <message>
        <source>log a block</source>
        <translation>annotare un blocco</translation>
    </message>
    <message>
        <source>log a rep</source>
        <translation>annotare una ripetizione</translation>
    </message>
    <message>
        <source>take reps out of a set</source>
        <translation>togliere ripetizioni da una serie</translation>
    </message>
    <message>
        <source>put reps into a set</source>
        <translation>mettere ripetizioni in una serie</translation>
    </message>
    <message>
        <source>Two things are being worked on already. Close or park one of them first.</source>
        <translation>Si lavora già a due cose. Prima chiudine o mettine da parte una.</translation>
    </message>
    <message>
        <source>decide on a finding</source>
        <translation>decidere su un rilievo</translation>
    </message>
    <message>
        <source>close a finding</source>
        <translation>chiudere un rilievo</translation>
    </message>
    <message>
        <source>take a decision back</source>
        <translation>ritirare una decisione</translation>
    </message>
    <message>
        <source>name another person</source>
        <translation>dai un nome a un&apos;altra persona</translation>
    </message>
    <message>
        <source>take a block of practice away</source>
        <translation>togli un blocco di pratica</translation>
    </message>
</context>
<context>
    <name>riflesso::CauseGraph</name>
    <message>
        <source>What causes what: drag from a cause to its consequence</source>
        <translation>Che cosa causa che cosa: trascina da una causa alla sua conseguenza</translation>
    </message>
    <message>
        <source>No fault yet. Add some under Faults, then draw here what causes what.</source>
        <translation>Ancora nessun difetto. Aggiungine in Difetti, poi traccia qui che cosa causa che cosa.</translation>
    </message>
</context>
<context>
    <name>riflesso::ChainView</name>
    <message>
        <source>Findings from cause to consequence</source>
        <translation>Rilievi dalla causa alla conseguenza</translation>
    </message>
    <message>
        <source>Nothing is surely out of its band. See below what could not be decided.</source>
        <translation>Nulla è di sicuro fuori dalla sua fascia. Sotto si vede che cosa non si è potuto decidere.</translation>
    </message>
    <message>
        <source>Nothing is measured yet.
Mark a rep of the athlete, and bring in a model.</source>
        <translation>Ancora nulla è misurato.
Marca una ripetizione dell&apos;atleta, e porta un modello.</translation>
    </message>
    <message>
        <source>band %1</source>
        <translation>fascia %1</translation>
    </message>
    <message>
        <source>work on this</source>
        <translation>lavora su questo</translation>
    </message>
    <message>
        <source>expected to follow</source>
        <translation>dovrebbe seguire</translation>
    </message>
    <message>
        <source>later</source>
        <translation>più tardi</translation>
    </message>
    <message>
        <source>certainty %1 %   %2</source>
        <translation>certezza %1 %   %2</translation>
    </message>
</context>
<context>
    <name>riflesso::CueChart</name>
    <message>
        <source>%1: %2 of %3 good</source>
        <translation>%1: %2 buone su %3</translation>
    </message>
    <message>
        <source>“%1”: %2 of %3 good, 95 % from %4 to %5 %</source>
        <translation>«%1»: %2 buone su %3, 95 % da %4 a %5 %</translation>
    </message>
    <message>
        <source>Practice counts reps by the cue they were done with.</source>
        <translation>La pratica conta le ripetizioni con il richiamo con cui sono state fatte.</translation>
    </message>
    <message>
        <source>%1 more to compare</source>
        <translation>ancora %1 per confrontare</translation>
    </message>
    <message>
        <source>the best with %1</source>
        <translation>il migliore al %1</translation>
    </message>
    <message>
        <source>“%1”</source>
        <translation>«%1»</translation>
    </message>
    <message>
        <source>%1 of %2 good</source>
        <translation>%1 buone su %2</translation>
    </message>
    <message>
        <source>%1 of %2 good, %3</source>
        <translation>%1 buone su %2, %3</translation>
    </message>
    <message>
        <source>%1 %</source>
        <translation>%1 %</translation>
    </message>
    <message>
        <source>Which cue works</source>
        <translation>Quale richiamo funziona</translation>
    </message>
</context>
<context>
    <name>riflesso::CurvePanel</name>
    <message>
        <source>Curve of</source>
        <translation>Curva di</translation>
    </message>
    <message>
        <source>Cut-off</source>
        <translation>Taglio</translation>
    </message>
    <message>
        <source> Hz</source>
        <translation> Hz</translation>
    </message>
    <message>
        <source>Automatic</source>
        <translation>Automatico</translation>
    </message>
    <message>
        <source>Back to what the residual analysis chooses</source>
        <translation>Torna a quanto sceglie l&apos;analisi dei residui</translation>
    </message>
    <message>
        <source>Marks that jump</source>
        <translation>Segni che saltano</translation>
    </message>
    <message>
        <source>set the cut-off of the %1</source>
        <translation>fissare il taglio di %1</translation>
    </message>
    <message>
        <source>%1, across</source>
        <translation>%1, in orizzontale</translation>
    </message>
    <message>
        <source>%1, up and down</source>
        <translation>%1, in verticale</translation>
    </message>
    <message>
        <source>Frame %1 jumps by %2 px</source>
        <translation>Il fotogramma %1 salta di %2 px</translation>
    </message>
    <message>
        <source>px</source>
        <translation>px</translation>
    </message>
    <message>
        <source>Mark a few frames first.</source>
        <translation>Prima marca alcuni fotogrammi.</translation>
    </message>
    <message>
        <source>A measure is made of smoothed landmarks.</source>
        <translation>Una misura è fatta di punti lisciati.</translation>
    </message>
    <message>
        <source>Set by hand for this landmark.</source>
        <translation>Fissato a mano per questo punto.</translation>
    </message>
    <message>
        <source>Chosen by residual analysis, not below 9 Hz.</source>
        <translation>Scelto dall&apos;analisi dei residui, non sotto 9 Hz.</translation>
    </message>
    <message>
        <source>Too few marks in a row: used as they are.</source>
        <translation>Troppo pochi segni di fila: usati come sono.</translation>
    </message>
    <message>
        <source>Cut-off </source>
        <translation>Taglio </translation>
    </message>
</context>
<context>
    <name>riflesso::CurveView</name>
    <message>
        <source>Curve over time</source>
        <translation>Curva nel tempo</translation>
    </message>
    <message>
        <source>Dots: as marked. Line: smoothed. Click goes to the frame.</source>
        <translation>Punti: come marcati. Linea: lisciata. Un clic porta al fotogramma.</translation>
    </message>
    <message>
        <source>Nothing is marked over time yet.</source>
        <translation>Ancora nulla è marcato nel tempo.</translation>
    </message>
    <message>
        <source>%1 s</source>
        <translation>%1 s</translation>
    </message>
</context>
<context>
    <name>riflesso::DecisionPanel</name>
    <message>
        <source>No finding yet.</source>
        <translation>Ancora nessun rilievo.</translation>
    </message>
    <message>
        <source>Something else that you see …</source>
        <translation>Qualcos&apos;altro che vedi …</translation>
    </message>
    <message>
        <source>A finding of your own: what the eye saw and no measure shows.</source>
        <translation>Un rilievo tuo: ciò che l&apos;occhio ha visto e nessuna misura mostra.</translation>
    </message>
    <message>
        <source>&lt;b&gt;%1&lt;/b&gt;, band %2 %3.&lt;br&gt;Reps: %4</source>
        <translation>&lt;b&gt;%1&lt;/b&gt;, fascia %2 %3.&lt;br&gt;Ripetizioni: %4</translation>
    </message>
    <message>
        <source>Inside with room to spare: say so first.</source>
        <translation>Dentro con margine: dillo per primo.</translation>
    </message>
    <message>
        <source>What would decide it: %1.</source>
        <translation>Che cosa lo deciderebbe: %1.</translation>
    </message>
    <message>
        <source>Caution: %1</source>
        <translation>Avvertenza: %1</translation>
    </message>
    <message>
        <source>Eye and film disagree: the eye sees it (%1), the measure does not (%2). Look at the frames again.</source>
        <translation>Occhio e filmato non concordano: l&apos;occhio lo vede (%1), la misura no (%2). Riguarda i fotogrammi.</translation>
    </message>
    <message>
        <source>Eye and film disagree: the measure shows it (%2), the eye does not (%1). Look at the frames again.</source>
        <translation>Occhio e filmato non concordano: la misura lo mostra (%2), l&apos;occhio no (%1). Riguarda i fotogrammi.</translation>
    </message>
    <message>
        <source>It did not go with its cause: “%1” moved by more than its error, this stayed. Look for another cause, or take it up by itself.</source>
        <translation>Non è andato con la sua causa: «%1» si è mosso più del suo errore, questo è rimasto. Cerca un&apos;altra causa, o lavoraci da solo.</translation>
    </message>
    <message>
        <source>“%1”</source>
        <translation>«%1»</translation>
    </message>
    <message>
        <source>Seen in</source>
        <translation>Visto in</translation>
    </message>
    <message>
        <source>over %1 reps</source>
        <translation>su %1 ripetizioni</translation>
    </message>
    <message>
        <source>%1 of %2 reps outside</source>
        <translation>%1 ripetizioni su %2 fuori</translation>
    </message>
    <message>
        <source>Why it stands where it stands</source>
        <translation>Perché sta dove sta</translation>
    </message>
    <message>
        <source>safety goes first</source>
        <translation>la sicurezza viene prima</translation>
    </message>
    <message>
        <source>yes</source>
        <translation>sì</translation>
    </message>
    <message>
        <source>its own size</source>
        <translation>la sua grandezza</translation>
    </message>
    <message>
        <source>+ what it brings about</source>
        <translation>+ ciò che provoca</translation>
    </message>
    <message>
        <source>× how sure</source>
        <translation>× quanto è sicuro</translation>
    </message>
    <message>
        <source>× how readily it changes</source>
        <translation>× quanto facilmente cambia</translation>
    </message>
    <message>
        <source>× how early it comes</source>
        <translation>× quanto presto viene</translation>
    </message>
    <message>
        <source>&lt;b&gt;= priority&lt;/b&gt;</source>
        <translation>&lt;b&gt;= priorità&lt;/b&gt;</translation>
    </message>
    <message>
        <source>The athlete says: “%1”</source>
        <translation>L&apos;atleta dice: «%1»</translation>
    </message>
    <message>
        <source>Heard from others: “%1”</source>
        <translation>Sentito da altri: «%1»</translation>
    </message>
    <message>
        <source>Said and seen</source>
        <translation>Detto e visto</translation>
    </message>
    <message>
        <source>%1 by the book, not tested yet</source>
        <translation>%1 secondo la scheda, non ancora provato</translation>
    </message>
    <message>
        <source>%1 by the book, %2 after %3</source>
        <translation>%1 secondo la scheda, %2 dopo %3</translation>
    </message>
    <message>
        <source>check</source>
        <translation>verifica</translation>
    </message>
    <message>
        <source>checks</source>
        <translation>verifiche</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>What goes with it</source>
        <translation>Che cosa va con esso</translation>
    </message>
    <message>
        <source>%1 on %2: %3</source>
        <translation>%1 il %2: %3</translation>
    </message>
    <message>
        <source>The athlete says</source>
        <translation>L&apos;atleta dice</translation>
    </message>
    <message>
        <source>What the athlete says to it</source>
        <translation>Che cosa ne dice l&apos;atleta</translation>
    </message>
    <message>
        <source>not asked yet</source>
        <translation>non ancora chiesto</translation>
    </message>
    <message>
        <source>not yet</source>
        <translation>non ancora</translation>
    </message>
    <message>
        <source>no</source>
        <translation>no</translation>
    </message>
    <message>
        <source>note what the athlete says</source>
        <translation>annotare che cosa dice l&apos;atleta</translation>
    </message>
    <message>
        <source>Without a yes nothing is rebuilt: one trial week, or another focus.</source>
        <translation>Senza un sì non si ricostruisce nulla: una settimana di prova, o un altro focus.</translation>
    </message>
    <message>
        <source>Take it up</source>
        <translation>Lavoraci</translation>
    </message>
    <message>
        <source>Park it</source>
        <translation>Da parte</translation>
    </message>
    <message>
        <source>Not for this athlete …</source>
        <translation>Non per l&apos;atleta …</translation>
    </message>
    <message>
        <source>Done: close it</source>
        <translation>Fatto: chiudilo</translation>
    </message>
    <message>
        <source>It stays on record. A later film may bring it back.</source>
        <translation>Resta agli atti. Un filmato futuro può riportarlo.</translation>
    </message>
    <message>
        <source>Build: these limbs do it otherwise</source>
        <translation>Costituzione: questi arti lo fanno diversamente</translation>
    </message>
    <message>
        <source>Age</source>
        <translation>Età</translation>
    </message>
    <message>
        <source>An old injury</source>
        <translation>Un vecchio infortunio</translation>
    </message>
    <message>
        <source>Taste: it is part of the style</source>
        <translation>Gusto: fa parte dello stile</translation>
    </message>
    <message>
        <source>Another reason …</source>
        <translation>Un altro motivo …</translation>
    </message>
    <message>
        <source>Not for this athlete</source>
        <translation>Non per questo atleta</translation>
    </message>
    <message>
        <source>Because</source>
        <translation>Perché</translation>
    </message>
    <message>
        <source>not judged for this athlete</source>
        <translation>non giudicato per questo atleta</translation>
    </message>
    <message>
        <source>own target %1</source>
        <translation>obiettivo proprio %1</translation>
    </message>
    <message>
        <source>: %1</source>
        <translation>: %1</translation>
    </message>
    <message>
        <source>goal %1 to %2%3</source>
        <translation>traguardo da %1 a %2%3</translation>
    </message>
    <message>
        <source> by %1</source>
        <translation> entro il %1</translation>
    </message>
    <message>
        <source>Own target …</source>
        <translation>Obiettivo proprio …</translation>
    </message>
    <message>
        <source>Goal …</source>
        <translation>Traguardo …</translation>
    </message>
    <message>
        <source>Own target</source>
        <translation>Obiettivo proprio</translation>
    </message>
    <message>
        <source>at least</source>
        <translation>almeno</translation>
    </message>
    <message>
        <source>at most</source>
        <translation>al massimo</translation>
    </message>
    <message>
        <source>Do not judge this for this athlete</source>
        <translation>Non giudicarlo per questo atleta</translation>
    </message>
    <message>
        <source>build, age, an old injury, taste …</source>
        <translation>costituzione, età, un vecchio infortunio, gusto …</translation>
    </message>
    <message>
        <source>Back to the common one</source>
        <translation>Torna a quello comune</translation>
    </message>
    <message>
        <source>Goal</source>
        <translation>Traguardo</translation>
    </message>
    <message>
        <source>From</source>
        <translation>Da</translation>
    </message>
    <message>
        <source>To</source>
        <translation>A</translation>
    </message>
    <message>
        <source>By</source>
        <translation>Entro</translation>
    </message>
    <message>
        <source>No goal</source>
        <translation>Nessun traguardo</translation>
    </message>
    <message>
        <source>Something that you see</source>
        <translation>Qualcosa che vedi</translation>
    </message>
    <message>
        <source>in my own words:</source>
        <translation>con parole mie:</translation>
    </message>
    <message>
        <source>What</source>
        <translation>Che cosa</translation>
    </message>
    <message>
        <source>with the frame looked at last (%1 of “%2”)</source>
        <translation>con il fotogramma guardato per ultimo (%1 di «%2»)</translation>
    </message>
    <message>
        <source>%1: &lt;b&gt;%2&lt;/b&gt;, band %3 %4. %5, %6.%8&lt;br&gt;Reps: %7</source>
        <translation>%1: &lt;b&gt;%2&lt;/b&gt;, fascia %3 %4. %5, %6.%8&lt;br&gt;Ripetizioni: %7</translation>
    </message>
</context>
<context>
    <name>riflesso::DeviceVoice</name>
    <message>
        <source>%1 does not give sound at 48,000 Hz.</source>
        <translation>%1 non dà suono a 48.000 Hz.</translation>
    </message>
    <message>
        <source>%1 does not start.</source>
        <translation>%1 non parte.</translation>
    </message>
    <message>
        <source>%1 was pulled out.</source>
        <translation>%1 è stato staccato.</translation>
    </message>
</context>
<context>
    <name>riflesso::DiaryDialog</name>
    <message>
        <source>Diary: what was practised</source>
        <translation>Diario: che cosa si è praticato</translation>
    </message>
    <message>
        <source>Days of practice</source>
        <translation>Giorni di pratica</translation>
    </message>
    <message>
        <source>%1
%2</source>
        <translation>%1
%2</translation>
    </message>
    <message>
        <source>Nothing was practised yet. Count a block in Practice, or tell of a day on your own: it stands here then, with its notes.</source>
        <translation>Non si è ancora praticato nulla. Conta un blocco in Pratica, o racconta un giorno da solo: poi sta qui, con le sue note.</translation>
    </message>
    <message>
        <source>%1 · %2</source>
        <translation>%1 · %2</translation>
    </message>
    <message>
        <source>%1 of %2 good</source>
        <translation>%1 buone su %2</translation>
    </message>
    <message>
        <source>Not yet, because: %1</source>
        <translation>Non ancora, perché: %1</translation>
    </message>
    <message>
        <source>Cue: %1</source>
        <translation>Richiamo: %1</translation>
    </message>
    <message>
        <source>Noticed: %1</source>
        <translation>Notato: %1</translation>
    </message>
    <message>
        <source>To try next: %1</source>
        <translation>Da provare: %1</translation>
    </message>
    <message>
        <source>a note on this block</source>
        <translation>una nota su questo blocco</translation>
    </message>
    <message>
        <source>Note on %1</source>
        <translation>Nota su %1</translation>
    </message>
    <message>
        <source>Hear</source>
        <translation>Ascolta</translation>
    </message>
    <message>
        <source>The spoken note of this block</source>
        <translation>La nota parlata di questo blocco</translation>
    </message>
    <message>
        <source>Take away</source>
        <translation>Da portare a casa</translation>
    </message>
    <message>
        <source>This block was not like that, or was not at all; Undo brings it back.</source>
        <translation>Questo blocco non è stato così, o non c&apos;è stato; Annulla lo riporta.</translation>
    </message>
</context>
<context>
    <name>riflesso::DoseChart</name>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>Week of %1</source>
        <translation>Settimana del %1</translation>
    </message>
    <message>
        <source>%1 of %2 planned minutes</source>
        <translation>%1 minuti su %2 previsti</translation>
    </message>
    <message>
        <source>rep</source>
        <translation>ripetizione</translation>
    </message>
    <message>
        <source>reps</source>
        <translation>ripetizioni</translation>
    </message>
    <message>
        <source>%1 of %2 good</source>
        <translation>%1 buone su %2</translation>
    </message>
    <message>
        <source>%1 minutes of it alone</source>
        <translation>di cui %1 minuti per conto proprio</translation>
    </message>
    <message>
        <source>Nothing is planned or practised yet. Practice counts each rep, the programme its minutes.</source>
        <translation>Nulla è ancora previsto o praticato. La Pratica conta ogni ripetizione, il programma i suoi minuti.</translation>
    </message>
    <message>
        <source>minutes a week</source>
        <translation>minuti alla settimana</translation>
    </message>
    <message>
        <source>%1 of %2</source>
        <translation>%1 su %2</translation>
    </message>
    <message>
        <source>Minutes planned and done, week by week</source>
        <translation>Minuti previsti e fatti, settimana per settimana</translation>
    </message>
</context>
<context>
    <name>riflesso::DraftPanel</name>
    <message>
        <source>How much to draft</source>
        <translation>Quanto mettere in bozza</translation>
    </message>
    <message>
        <source>Draft it</source>
        <translation>Fai la bozza</translation>
    </message>
    <message>
        <source>Find the body on every frame, forwards and backwards from here, in the background (Enter).</source>
        <translation>Trova il corpo su ogni fotogramma, avanti e indietro da qui, in secondo piano (Invio).</translation>
    </message>
    <message>
        <source>Leave</source>
        <translation>Lascia</translation>
    </message>
    <message>
        <source>Rep %1</source>
        <translation>Ripetizione %1</translation>
    </message>
    <message>
        <source>The whole take</source>
        <translation>L&apos;intera ripresa</translation>
    </message>
    <message>
        <source>All %1 takes of this day</source>
        <translation>Tutte le %1 riprese di questo giorno</translation>
    </message>
    <message>
        <source>Draft the body in this box? Drag another box, or click another person.</source>
        <translation>Fare la bozza del corpo in questo riquadro? Traccia un altro riquadro, o clicca un&apos;altra persona.</translation>
    </message>
    <message>
        <source>Drag a box round the athlete. Looking for people …</source>
        <translation>Traccia un riquadro attorno all&apos;atleta. Cerco persone …</translation>
    </message>
    <message>
        <source>Drag a box round the athlete.</source>
        <translation>Traccia un riquadro attorno all&apos;atleta.</translation>
    </message>
    <message>
        <source>Who is in the box</source>
        <translation>Chi è nel riquadro</translation>
    </message>
    <message>
        <source>the athlete</source>
        <translation>l&apos;atleta</translation>
    </message>
    <message>
        <source>the other person</source>
        <translation>l&apos;altra persona</translation>
    </message>
    <message>
        <source>Other people in the same film are drafted under points of their own.</source>
        <translation>Le altre persone dello stesso filmato ricevono bozze con punti propri.</translation>
    </message>
    <message>
        <source>called …</source>
        <translation>si chiama …</translation>
    </message>
    <message>
        <source>What this person is called</source>
        <translation>Come si chiama questa persona</translation>
    </message>
    <message>
        <source>one more person</source>
        <translation>un&apos;altra persona</translation>
    </message>
    <message>
        <source>everybody</source>
        <translation>tutti</translation>
    </message>
    <message>
        <source>The athlete is in this box? Everybody else that is seen is drafted after.</source>
        <translation>L&apos;atleta è in questo riquadro? Dopo si fanno le bozze di tutti gli altri che si vedono.</translation>
    </message>
</context>
<context>
    <name>riflesso::DrillCard</name>
    <message>
        <source>beside the technique, %1 minutes</source>
        <translation>accanto alla tecnica, %1 minuti</translation>
    </message>
    <message>
        <source>Caution: %1</source>
        <translation>Avvertenza: %1</translation>
    </message>
    <message>
        <source>Choose a drill on the ladder or a block in the weeks.</source>
        <translation>Scegli un esercizio sulla scala o un blocco nelle settimane.</translation>
    </message>
    <message>
        <source>%1, %2%3</source>
        <translation>%1, %2%3</translation>
    </message>
    <message>
        <source>, %1</source>
        <translation>, %1</translation>
    </message>
    <message>
        <source>“%1”</source>
        <translation>«%1»</translation>
    </message>
    <message>
        <source>Right and wrong: %1</source>
        <translation>Giusto e sbagliato: %1</translation>
    </message>
    <message>
        <source>a partner</source>
        <translation>un compagno</translation>
    </message>
    <message>
        <source>Needs: %1</source>
        <translation>Serve: %1</translation>
    </message>
    <message>
        <source>It works on what hurts (%1): ask a doctor or a physiotherapist first.</source>
        <translation>Lavora su ciò che fa male (%1): chiedi prima a un medico o a un fisioterapista.</translation>
    </message>
    <message>
        <source>Mind what is noted: %1.</source>
        <translation>Tieni conto di ciò che è annotato: %1.</translation>
    </message>
    <message>
        <source>Gate: %1</source>
        <translation>Soglia: %1</translation>
    </message>
    <message>
        <source>Banned for this athlete: it is never planned.</source>
        <translation>Escluso per questo atleta: non viene mai pianificato.</translation>
    </message>
    <message>
        <source>Allow it again</source>
        <translation>Consentilo di nuovo</translation>
    </message>
    <message>
        <source>Never for this athlete</source>
        <translation>Mai per questo atleta</translation>
    </message>
    <message>
        <source>allow a drill again</source>
        <translation>consentire di nuovo un esercizio</translation>
    </message>
    <message>
        <source>ban a drill</source>
        <translation>escludere un esercizio</translation>
    </message>
    <message>
        <source>Change this drill …</source>
        <translation>Cambia questo esercizio …</translation>
    </message>
    <message>
        <source>%1 (not at hand)</source>
        <translation>%1 (non c&apos;è)</translation>
    </message>
    <message>
        <source>Does it help? %1</source>
        <translation>Serve? %1</translation>
    </message>
</context>
<context>
    <name>riflesso::ExportDialog</name>
    <message>
        <source>A clip to take home</source>
        <translation>Una clip da portare a casa</translation>
    </message>
    <message>
        <source>This rep</source>
        <translation>Questa ripetizione</translation>
    </message>
    <message>
        <source>The part that is played</source>
        <translation>La parte in riproduzione</translation>
    </message>
    <message>
        <source>All reps of this take, a clip each</source>
        <translation>Tutte le ripetizioni di questa ripresa, una clip ciascuna</translation>
    </message>
    <message>
        <source>The athlete alone</source>
        <translation>Solo l&apos;atleta</translation>
    </message>
    <message>
        <source>The athlete above, the other below the line</source>
        <translation>L&apos;atleta sopra, l&apos;altro sotto la linea</translation>
    </message>
    <message>
        <source>The athlete with the other&apos;s figure as a ghost</source>
        <translation>L&apos;atleta con la figura dell&apos;altro in trasparenza</translation>
    </message>
    <message>
        <source>As fast as it was</source>
        <translation>Veloce com&apos;era</translation>
    </message>
    <message>
        <source>%1 times slower</source>
        <translation>%1 volte più lento</translation>
    </message>
    <message>
        <source>1920 x 1080</source>
        <translation>1920 x 1080</translation>
    </message>
    <message>
        <source>1080 x 1920, for a telephone</source>
        <translation>1080 x 1920, per il telefono</translation>
    </message>
    <message>
        <source>1280 x 720, half the bytes</source>
        <translation>1280 x 720, metà dei byte</translation>
    </message>
    <message>
        <source>with what is marked drawn on it</source>
        <translation>con disegnato ciò che è marcato</translation>
    </message>
    <message>
        <source>Title</source>
        <translation>Titolo</translation>
    </message>
    <message>
        <source>Write …</source>
        <translation>Scrivi …</translation>
    </message>
    <message>
        <source>Close</source>
        <translation>Chiudi</translation>
    </message>
    <message>
        <source>What</source>
        <translation>Che cosa</translation>
    </message>
    <message>
        <source>Sides</source>
        <translation>Lati</translation>
    </message>
    <message>
        <source>Speed</source>
        <translation>Velocità</translation>
    </message>
    <message>
        <source>Size</source>
        <translation>Dimensione</translation>
    </message>
    <message>
        <source>Write the clip</source>
        <translation>Scrivi la clip</translation>
    </message>
    <message>
        <source>clip.mp4</source>
        <translation>clip.mp4</translation>
    </message>
    <message>
        <source>Films (*.mp4)</source>
        <translation>Filmati (*.mp4)</translation>
    </message>
    <message>
        <source>, rep %1</source>
        <translation>, ripetizione %1</translation>
    </message>
    <message>
        <source>%1 s of film.</source>
        <translation>%1 s di filmato.</translation>
    </message>
    <message>
        <source>Written: %1.</source>
        <translation>Scritto: %1.</translation>
    </message>
    <message>
        <source>%1 clips are written.</source>
        <translation>%1 clip scritte.</translation>
    </message>
    <message>
        <source>Written to the same name again it goes on where it was.</source>
        <translation>Scritto di nuovo con lo stesso nome, riprende da dov&apos;era.</translation>
    </message>
</context>
<context>
    <name>riflesso::EyePanel</name>
    <message>
        <source>yes</source>
        <translation>sì</translation>
    </message>
    <message>
        <source>partly</source>
        <translation>in parte</translation>
    </message>
    <message>
        <source>no</source>
        <translation>no</translation>
    </message>
    <message>
        <source>Checkpoints</source>
        <translation>Punti di controllo</translation>
    </message>
    <message>
        <source>A note, if there is more to say</source>
        <translation>Una nota, se c&apos;è altro da dire</translation>
    </message>
    <message>
        <source>Note</source>
        <translation>Nota</translation>
    </message>
    <message>
        <source>Pin to a place</source>
        <translation>Fissa a un punto</translation>
    </message>
    <message>
        <source>Then click the place of the picture that the note is about</source>
        <translation>Poi clicca il punto dell&apos;immagine di cui parla la nota</translation>
    </message>
    <message>
        <source>Take back</source>
        <translation>Togli</translation>
    </message>
    <message>
        <source>Yes</source>
        <translation>Sì</translation>
    </message>
    <message>
        <source>Partly</source>
        <translation>In parte</translation>
    </message>
    <message>
        <source>No</source>
        <translation>No</translation>
    </message>
    <message>
        <source>Not everything is a number. Judge these on the frame; each leads to it.</source>
        <translation>Non tutto è un numero. Giudicali sul fotogramma; ognuno ci porta.</translation>
    </message>
    <message>
        <source>take back “%1”</source>
        <translation>togliere «%1»</translation>
    </message>
    <message>
        <source>judge “%1”</source>
        <translation>giudicare «%1»</translation>
    </message>
    <message>
        <source>not judged</source>
        <translation>non giudicato</translation>
    </message>
    <message>
        <source>%1, frame %2</source>
        <translation>%1, fotogramma %2</translation>
    </message>
    <message>
        <source>This technique has no checkpoints.</source>
        <translation>Questa tecnica non ha punti di controllo.</translation>
    </message>
    <message>
        <source>Start a rep first.</source>
        <translation>Comincia prima una ripetizione.</translation>
    </message>
    <message>
        <source>Who is judged</source>
        <translation>Chi si giudica</translation>
    </message>
    <message>
        <source>the athlete</source>
        <translation>l&apos;atleta</translation>
    </message>
</context>
<context>
    <name>riflesso::EyeTrainer</name>
    <message>
        <source>A simulated rep</source>
        <translation>Una ripetizione simulata</translation>
    </message>
    <message>
        <source>Your own eye</source>
        <translation>Il tuo occhio</translation>
    </message>
    <message>
        <source>Technique</source>
        <translation>Tecnica</translation>
    </message>
    <message>
        <source>Fault</source>
        <translation>Difetto</translation>
    </message>
    <message>
        <source>I saw it (Y)</source>
        <translation>L&apos;ho visto (Y)</translation>
    </message>
    <message>
        <source>It was not there (N)</source>
        <translation>Non c&apos;era (N)</translation>
    </message>
    <message>
        <source>Once more (Space)</source>
        <translation>Ancora una volta (Spazio)</translation>
    </message>
    <message>
        <source>Close</source>
        <translation>Chiudi</translation>
    </message>
    <message>
        <source>Yes, it was there: %1. </source>
        <translation>Sì, c&apos;era: %1. </translation>
    </message>
    <message>
        <source>It was there: %1. </source>
        <translation>C&apos;era: %1. </translation>
    </message>
    <message>
        <source>There was nothing. </source>
        <translation>Non c&apos;era nulla. </translation>
    </message>
    <message>
        <source>Right, there was nothing. </source>
        <translation>Giusto, non c&apos;era nulla. </translation>
    </message>
    <message>
        <source>A rep is shown once, at film speed. Say whether the fault was there. One in four is without it.</source>
        <translation>Una ripetizione si mostra una volta, alla velocità del filmato. Di&apos; se il difetto c&apos;era. Una su quattro ne è priva.</translation>
    </message>
    <message>
        <source>%1 looks so far; from 12 on stands here from which size you see it.</source>
        <translation>%1 sguardi finora; da 12 in poi qui sta da quale grandezza lo vedi.</translation>
    </message>
    <message>
        <source>You hardly ever see this one, up to %1: let the film decide. (%2 looks)</source>
        <translation>Questo non lo vedi quasi mai, fino a %1: lascia decidere il filmato. (%2 sguardi)</translation>
    </message>
    <message>
        <source>You see it from %1 on (%2 to %3); where there was nothing you called it in %4 %. (%5 looks)</source>
        <translation>Lo vedi da %1 in su (%2 a %3); dove non c&apos;era nulla l&apos;hai segnalato nel %4 %. (%5 sguardi)</translation>
    </message>
    <message>
        <source>
The next rep comes …</source>
        <translation>
Arriva la prossima ripetizione …</translation>
    </message>
    <message>
        <source>Own films: %1</source>
        <translation>Filmati propri: %1</translation>
    </message>
    <message>
        <source> % of the tolerance</source>
        <translation> % della tolleranza</translation>
    </message>
    <message>
        <source>any of them: which one is it?</source>
        <translation>uno qualsiasi: quale è?</translation>
    </message>
    <message>
        <source>It was %1: %2. </source>
        <translation>Era %1: %2. </translation>
    </message>
    <message>
        <source>Yes, it was there: %1; you said %2. </source>
        <translation>Sì, c&apos;era: %1; tu hai detto %2. </translation>
    </message>
    <message>
        <source>%1 (%2)</source>
        <translation>%1 (%2)</translation>
    </message>
    <message>
        <source>How large was it?</source>
        <translation>Quanto era grande?</translation>
    </message>
    <message>
        <source>cannot say (Return)</source>
        <translation>non so dirlo (Invio)</translation>
    </message>
    <message>
        <source>None of them (N)</source>
        <translation>Nessuno (N)</translation>
    </message>
    <message>
        <source>%1 hardly ever: let the film decide</source>
        <translation>%1 quasi mai: lascia decidere il filmato</translation>
    </message>
    <message>
        <source>%1 from %2 on</source>
        <translation>%1 da %2 in su</translation>
    </message>
    <message>
        <source>%1 looks so far; from 12 of a fault on stands here from which size you see it.</source>
        <translation>%1 sguardi finora; da 12 di un difetto in poi qui sta da quale grandezza lo vedi.</translation>
    </message>
    <message>
        <source>You see: %1. (%2 looks)</source>
        <translation>Vedi: %1. (%2 sguardi)</translation>
    </message>
    <message>
        <source>%1 to %2</source>
        <translation>%1 a %2</translation>
    </message>
    <message>
        <source> You take it for larger than it is: %1 times (%2).</source>
        <translation> Lo prendi per più grande di quello che è: %1 volte (%2).</translation>
    </message>
    <message>
        <source> You take it for smaller than it is: %1 times (%2).</source>
        <translation> Lo prendi per più piccolo di quello che è: %1 volte (%2).</translation>
    </message>
    <message>
        <source> Your sizes are right on average (%1 times).</source>
        <translation> Le tue grandezze in media sono giuste (%1 volte).</translation>
    </message>
    <message>
        <source>A rep is shown once, at film speed. Say which fault it has, if any.</source>
        <translation>Una ripetizione si vede una volta, alla velocità del filmato. Di&apos; quale difetto ha, se ne ha.</translation>
    </message>
    <message>
        <source>Yes, it was there.</source>
        <translation>Sì, c&apos;era.</translation>
    </message>
</context>
<context>
    <name>riflesso::FeltChart</name>
    <message>
        <source>%1, %2: felt %3, filmed %4, %5 apart</source>
        <translation>%1, %2: sentito %3, filmato %4, divario %5</translation>
    </message>
    <message>
        <source>Ask for a guess in the Brief before each film: here it stands beside what the film says.</source>
        <translation>Chiedi una stima nell&apos;Incontro prima di ogni filmato: qui sta accanto a ciò che dice il filmato.</translation>
    </message>
    <message>
        <source>felt</source>
        <translation>sentito</translation>
    </message>
    <message>
        <source>filmed</source>
        <translation>filmato</translation>
    </message>
    <message>
        <source>Felt and filmed</source>
        <translation>Sentito e filmato</translation>
    </message>
</context>
<context>
    <name>riflesso::FigureGuide</name>
    <message>
        <source>Figure guide</source>
        <translation>Figura guida</translation>
    </message>
    <message>
        <source>Rings are still to be marked, dots are done. Click one to mark it next.</source>
        <translation>Gli anelli sono ancora da marcare, i punti sono fatti. Cliccane uno per marcarlo dopo.</translation>
    </message>
</context>
<context>
    <name>riflesso::FigurePicker</name>
    <message>
        <source>Figure: click joints to set the points of the measure</source>
        <translation>Figura: clicca le articolazioni per porre i punti della misura</translation>
    </message>
    <message>
        <source>Next: %1</source>
        <translation>Prossimo: %1</translation>
    </message>
    <message>
        <source>All points are set; right click takes one away</source>
        <translation>Tutti i punti sono posti; il clic destro ne toglie uno</translation>
    </message>
</context>
<context>
    <name>riflesso::FilmPanel</name>
    <message>
        <source>the athlete</source>
        <translation>l&apos;atleta</translation>
    </message>
    <message>
        <source>a model performance</source>
        <translation>una prestazione modello</translation>
    </message>
    <message>
        <source>left-handed</source>
        <translation>mancino</translation>
    </message>
    <message>
        <source>right-handed</source>
        <translation>destrimano</translation>
    </message>
    <message>
        <source>to the left</source>
        <translation>verso sinistra</translation>
    </message>
    <message>
        <source>to the right</source>
        <translation>verso destra</translation>
    </message>
    <message>
        <source>to the camera</source>
        <translation>verso la telecamera</translation>
    </message>
    <message>
        <source>Where the athlete&apos;s forward points in the picture.</source>
        <translation>Dove punta, nell&apos;immagine, l&apos;avanti dell&apos;atleta.</translation>
    </message>
    <message>
        <source>Look for the film …</source>
        <translation>Cerca il filmato …</translation>
    </message>
    <message>
        <source>The film is not where it was. It is known by its content: choose a folder to look in.</source>
        <translation>Il filmato non è dov&apos;era. Si riconosce dal contenuto: scegli una cartella in cui cercare.</translation>
    </message>
    <message>
        <source>Take the film as it is now</source>
        <translation>Prendi il filmato com&apos;è adesso</translation>
    </message>
    <message>
        <source>Marks and key positions stay. Those beyond the end of the film are kept but not read.</source>
        <translation>Segni e posizioni chiave restano. Quelli oltre la fine del filmato si tengono ma non si leggono.</translation>
    </message>
    <message>
        <source>Remove this take</source>
        <translation>Togli questa ripresa</translation>
    </message>
    <message>
        <source>Takes it and its marks out of the case. Undo brings them back; the film file stays.</source>
        <translation>Toglie dal caso la ripresa e i suoi segni. Annulla li riporta; il file del filmato resta.</translation>
    </message>
    <message>
        <source>Title</source>
        <translation>Titolo</translation>
    </message>
    <message>
        <source>Shows</source>
        <translation>Mostra</translation>
    </message>
    <message>
        <source>Hand</source>
        <translation>Mano</translation>
    </message>
    <message>
        <source>Filmed on</source>
        <translation>Filmato il</translation>
    </message>
    <message>
        <source>View</source>
        <translation>Vista</translation>
    </message>
    <message>
        <source>Forward</source>
        <translation>Avanti</translation>
    </message>
    <message>
        <source>Stress</source>
        <translation>Pressione</translation>
    </message>
    <message>
        <source>rename a take</source>
        <translation>rinominare una ripresa</translation>
    </message>
    <message>
        <source>say who a take shows</source>
        <translation>dire chi mostra una ripresa</translation>
    </message>
    <message>
        <source>set the hand of a take</source>
        <translation>fissare la mano di una ripresa</translation>
    </message>
    <message>
        <source>set the date of a take</source>
        <translation>fissare la data di una ripresa</translation>
    </message>
    <message>
        <source>set the view of a take</source>
        <translation>fissare la vista di una ripresa</translation>
    </message>
    <message>
        <source>set where forward is</source>
        <translation>fissare dov&apos;è l&apos;avanti</translation>
    </message>
    <message>
        <source>set the stress of a take</source>
        <translation>fissare la pressione di una ripresa</translation>
    </message>
    <message>
        <source>%1 × %2 px, %3 frames, %4 s in the file. %5</source>
        <translation>%1 × %2 px, %3 fotogrammi, %4 s nel file. %5</translation>
    </message>
    <message>
        <source>The film is missing: %1</source>
        <translation>Manca il filmato: %1</translation>
    </message>
    <message>
        <source>Referred to where it lies, outside the library.</source>
        <translation>Richiamato dove sta, fuori dalla libreria.</translation>
    </message>
    <message>
        <source>Kept in the library.</source>
        <translation>Tenuto nella libreria.</translation>
    </message>
    <message>
        <source>This is another film than the one that was brought in: it has %1, that one had %2.</source>
        <translation>È un filmato diverso da quello portato: ha %1, quello aveva %2.</translation>
    </message>
    <message>
        <source>frame</source>
        <translation>fotogramma</translation>
    </message>
    <message>
        <source>frames</source>
        <translation>fotogrammi</translation>
    </message>
    <message>
        <source>This is another film than the one that was brought in: its frames differ in size or in time.</source>
        <translation>È un filmato diverso da quello portato: i suoi fotogrammi differiscono per dimensione o per tempo.</translation>
    </message>
    <message>
        <source>“%1”: %2</source>
        <translation>«%1»: %2</translation>
    </message>
    <message>
        <source>take the film as it is now</source>
        <translation>prendere il filmato com&apos;è adesso</translation>
    </message>
    <message>
        <source>Under how much stress this was filmed: what holds in calm practice need not hold in a match.</source>
        <translation>Sotto quanta pressione è stato filmato: ciò che regge in calma non è detto che regga in gara.</translation>
    </message>
</context>
<context>
    <name>riflesso::FilmVerdictsDialog</name>
    <message>
        <source>Verdicts on film</source>
        <translation>Giudizi sul filmato</translation>
    </message>
    <message>
        <source>What is judged</source>
        <translation>Che cosa si giudica</translation>
    </message>
    <message>
        <source>Good (G)</source>
        <translation>Buona (G)</translation>
    </message>
    <message>
        <source>Not yet (B)</source>
        <translation>Non ancora (B)</translation>
    </message>
    <message>
        <source>Next (Space)</source>
        <translation>Avanti (Spazio)</translation>
    </message>
    <message>
        <source>no rep has this measure yet</source>
        <translation>nessuna ripetizione ha ancora questa misura</translation>
    </message>
    <message>
        <source>rep %1 of %2, in hidden order</source>
        <translation>ripetizione %1 di %2, in ordine nascosto</translation>
    </message>
    <message>
        <source>Athlete: was it good?</source>
        <translation>Atleta: era buona?</translation>
    </message>
    <message>
        <source>Coach: was it good?</source>
        <translation>Allenatore: era buona?</translation>
    </message>
    <message>
        <source>And the film says</source>
        <translation>E il filmato dice</translation>
    </message>
    <message>
        <source>Nothing to judge</source>
        <translation>Nulla da giudicare</translation>
    </message>
    <message>
        <source>All seen</source>
        <translation>Viste tutte</translation>
    </message>
    <message>
        <source>%1 of 100</source>
        <translation>%1 su 100</translation>
    </message>
    <message>
        <source>too few to tell</source>
        <translation>troppo poche per dirlo</translation>
    </message>
    <message>
        <source>Athlete and coach agree on %1.
Athlete and film: %2.
Coach and film: %3.</source>
        <translation>Atleta e allenatore concordano su %1.
Atleta e filmato: %2.
Allenatore e filmato: %3.</translation>
    </message>
    <message>
        <source>%1: %2.
Athlete: %3. Coach: %4.</source>
        <translation>%1: %2.
Atleta: %3. Allenatore: %4.</translation>
    </message>
    <message>
        <source>good</source>
        <translation>buona</translation>
    </message>
    <message>
        <source>not yet</source>
        <translation>non ancora</translation>
    </message>
</context>
<context>
    <name>riflesso::FindingList</name>
    <message>
        <source>Good</source>
        <translation>Bene</translation>
    </message>
    <message>
        <source>Working on</source>
        <translation>In lavoro</translation>
    </message>
    <message>
        <source>Would go with it</source>
        <translation>Andrebbe con esso</translation>
    </message>
    <message>
        <source>Found</source>
        <translation>Trovato</translation>
    </message>
    <message>
        <source>Not decided</source>
        <translation>Non deciso</translation>
    </message>
    <message>
        <source>Parked</source>
        <translation>Da parte</translation>
    </message>
    <message>
        <source>Not for this athlete</source>
        <translation>Non per questo atleta</translation>
    </message>
    <message>
        <source>Findings</source>
        <translation>Rilievi</translation>
    </message>
    <message>
        <source>Nothing is measured yet. Mark a rep of the athlete, and bring in a model.</source>
        <translation>Ancora nulla è misurato. Marca una ripetizione dell&apos;atleta, e porta un modello.</translation>
    </message>
</context>
<context>
    <name>riflesso::FindingsPage</name>
    <message>
        <source>The set that is judged</source>
        <translation>La serie che si giudica</translation>
    </message>
    <message>
        <source>What it is compared with</source>
        <translation>Con che cosa si confronta</translation>
    </message>
    <message>
        <source>Situation</source>
        <translation>Situazione</translation>
    </message>
    <message>
        <source>Findings</source>
        <translation>Rilievi</translation>
    </message>
    <message>
        <source>Set against set</source>
        <translation>Serie contro serie</translation>
    </message>
    <message>
        <source>A row a measure, a column a set: what moved, and what works in which situation.</source>
        <translation>Una riga per misura, una colonna per serie: che cosa si è mosso, e che cosa funziona in quale situazione.</translation>
    </message>
    <message>
        <source>Where it lands</source>
        <translation>Dove arriva</translation>
    </message>
    <message>
        <source>Each rep&apos;s effect on a map, against its zone.</source>
        <translation>L&apos;effetto di ogni ripetizione su una mappa, rispetto alla sua zona.</translation>
    </message>
    <message>
        <source>Judged</source>
        <translation>Giudicato</translation>
    </message>
    <message>
        <source>against</source>
        <translation>contro</translation>
    </message>
    <message>
        <source>%1, %2 (%3)</source>
        <translation>%1, %2 (%3)</translation>
    </message>
    <message>
        <source>rep</source>
        <translation>ripetizione</translation>
    </message>
    <message>
        <source>reps</source>
        <translation>ripetizioni</translation>
    </message>
    <message>
        <source>the model</source>
        <translation>il modello</translation>
    </message>
    <message>
        <source>model: %1</source>
        <translation>modello: %1</translation>
    </message>
    <message>
        <source>all models together</source>
        <translation>tutti i modelli insieme</translation>
    </message>
    <message>
        <source>every situation</source>
        <translation>ogni situazione</translation>
    </message>
    <message>
        <source>finding before, after</source>
        <translation>rilievo prima, dopo</translation>
    </message>
    <message>
        <source>rep before, after</source>
        <translation>ripetizione prima, dopo</translation>
    </message>
    <message>
        <source>play athlete and model, stop</source>
        <translation>riproduci atleta e modello, ferma</translation>
    </message>
</context>
<context>
    <name>riflesso::FirstReader</name>
    <message>
        <source>see which way the athlete looks</source>
        <translation>vedere da che parte guarda l&apos;atleta</translation>
    </message>
    <message>
        <source>%1 read. %2</source>
        <translation>Lettura: %1. %2</translation>
    </message>
    <message>
        <source>1 rep</source>
        <translation>1 ripetizione</translation>
    </message>
    <message>
        <source>%1 reps</source>
        <translation>%1 ripetizioni</translation>
    </message>
</context>
<context>
    <name>riflesso::FootagePage</name>
    <message>
        <source>%1: there is no film in this folder</source>
        <translation>%1: in questa cartella non c&apos;è nessun filmato</translation>
    </message>
    <message>
        <source>“%1” is in the library.</source>
        <translation>«%1» è nella libreria.</translation>
    </message>
    <message>
        <source> It is cut off: %1 frames are lost, the others are good.</source>
        <translation> È troncato: %1 fotogrammi sono persi, gli altri sono buoni.</translation>
    </message>
    <message>
        <source> %1 of its time stamps had to be put in order.</source>
        <translation> %1 dei suoi tempi hanno dovuto essere messi in ordine.</translation>
    </message>
    <message>
        <source> It was there already, so it was not copied again.</source>
        <translation> C&apos;era già, perciò non è stato copiato di nuovo.</translation>
    </message>
    <message>
        <source>Looking for reps</source>
        <translation>Cerco ripetizioni</translation>
    </message>
    <message>
        <source>Nothing stands out from the rest: place the ends by hand.</source>
        <translation>Nulla spicca sul resto: poni gli estremi a mano.</translation>
    </message>
    <message>
        <source>All that was found is a rep already.</source>
        <translation>Tutto ciò che si è trovato è già una ripetizione.</translation>
    </message>
    <message>
        <source>%1 proposed. Look at them, then accept.</source>
        <translation>%1 proposte. Guardale, poi accetta.</translation>
    </message>
    <message>
        <source>rep</source>
        <translation>ripetizione</translation>
    </message>
    <message>
        <source>reps</source>
        <translation>ripetizioni</translation>
    </message>
    <message>
        <source>Listening to both films</source>
        <translation>Ascolto entrambi i filmati</translation>
    </message>
    <message>
        <source>Locked by sound: the best place is %1 times as clear as the next.</source>
        <translation>Agganciati con il suono: il posto migliore è %1 volte più netto del successivo.</translation>
    </message>
    <message>
        <source>Following the background</source>
        <translation>Seguo lo sfondo</translation>
    </message>
    <message>
        <source>look at the camera&apos;s movement</source>
        <translation>guardare il movimento della telecamera</translation>
    </message>
    <message>
        <source>Look for the film in</source>
        <translation>Cerca il filmato in</translation>
    </message>
    <message>
        <source>Looking for “%1”</source>
        <translation>Cerco «%1»</translation>
    </message>
    <message>
        <source>The film is not in this folder. Nothing was changed.</source>
        <translation>Il filmato non è in questa cartella. Nulla è cambiato.</translation>
    </message>
    <message>
        <source>find a moved film</source>
        <translation>trovare un filmato spostato</translation>
    </message>
    <message>
        <source>Found: it is the same film, by its content.</source>
        <translation>Trovato: è lo stesso filmato, per contenuto.</translation>
    </message>
    <message>
        <source>Bring in films …</source>
        <translation>Porta filmati …</translation>
    </message>
    <message>
        <source>Films are copied into the library. You can also drop files and folders anywhere on the window.</source>
        <translation>I filmati si copiano nella libreria. Puoi anche trascinare file e cartelle in qualunque punto della finestra.</translation>
    </message>
    <message>
        <source>Film now …</source>
        <translation>Filma adesso …</translation>
    </message>
    <message>
        <source>A camera on this computer, with a mirror that shows the rep just done.</source>
        <translation>Una telecamera su questo computer, con uno specchio che mostra la ripetizione appena fatta.</translation>
    </message>
    <message>
        <source>do not copy films</source>
        <translation>non copiare i filmati</translation>
    </message>
    <message>
        <source>The library then only refers to them. They must stay within reach.</source>
        <translation>La libreria allora li richiama soltanto. Devono restare raggiungibili.</translation>
    </message>
    <message>
        <source>Takes</source>
        <translation>Riprese</translation>
    </message>
    <message>
        <source>Read it</source>
        <translation>Leggilo</translation>
    </message>
    <message>
        <source>Finds the body, cuts the reps, proposes the key positions and measures: all drafts, some minutes. Then it says which few looks would make it sure.</source>
        <translation>Trova il corpo, taglia le ripetizioni, propone le posizioni chiave e misura: tutte bozze, alcuni minuti. Poi dice quali pochi sguardi lo renderebbero sicuro.</translation>
    </message>
    <message>
        <source>The whole day</source>
        <translation>L&apos;intero giorno</translation>
    </message>
    <message>
        <source>Reads all films of this day one after the other.</source>
        <translation>Legge tutti i filmati di questo giorno uno dopo l&apos;altro.</translation>
    </message>
    <message>
        <source>Bring in films</source>
        <translation>Porta filmati</translation>
    </message>
    <message>
        <source>Films (*.mp4 *.mov *.m4v *.mkv *.webm *.avi *.mts *.m2ts *.mpg);;All files (*)</source>
        <translation>Filmati (*.mp4 *.mov *.m4v *.mkv *.webm *.avi *.mts *.m2ts *.mpg);;Tutti i file (*)</translation>
    </message>
    <message>
        <source>Frame</source>
        <translation>Fotogramma</translation>
    </message>
    <message>
        <source>Film</source>
        <translation>Filmato</translation>
    </message>
    <message>
        <source>Time</source>
        <translation>Tempo</translation>
    </message>
    <message>
        <source>Calibrate</source>
        <translation>Calibra</translation>
    </message>
    <message>
        <source>Reps</source>
        <translation>Ripetizioni</translation>
    </message>
    <message>
        <source>Angles</source>
        <translation>Inquadrature</translation>
    </message>
    <message>
        <source>Picture</source>
        <translation>Immagine</translation>
    </message>
    <message>
        <source>capture rate not set</source>
        <translation>frequenza di ripresa non fissata</translation>
    </message>
    <message>
        <source>%1 Hz</source>
        <translation>%1 Hz</translation>
    </message>
    <message>
        <source>model</source>
        <translation>modello</translation>
    </message>
    <message>
        <source>athlete</source>
        <translation>atleta</translation>
    </message>
    <message>
        <source>Frame of the film beside</source>
        <translation>Fotogramma del filmato accanto</translation>
    </message>
    <message>
        <source>Decoding the frame …</source>
        <translation>Decodifico il fotogramma …</translation>
    </message>
    <message>
        <source>%1 · frame %2 · same instant to ± %3 ms</source>
        <translation>%1 · fotogramma %2 · stesso istante entro ± %3 ms</translation>
    </message>
    <message>
        <source>%1 · frame %2 · not locked</source>
        <translation>%1 · fotogramma %2 · non agganciato</translation>
    </message>
    <message>
        <source>No film yet.
Drop films or folders on this window, or press “Bring in films”.
Film from the side first, camera level with the hips, the whole movement in the picture.</source>
        <translation>Ancora nessun filmato.
Trascina filmati o cartelle su questa finestra, o premi «Porta filmati».
Filma prima di lato, telecamera all&apos;altezza delle anche, tutto il movimento nell&apos;immagine.</translation>
    </message>
    <message>
        <source>one frame; with Shift ten</source>
        <translation>un fotogramma; con Maiusc dieci</translation>
    </message>
    <message>
        <source>first, last frame</source>
        <translation>primo, ultimo fotogramma</translation>
    </message>
    <message>
        <source>play, play backwards</source>
        <translation>riproduci, all&apos;indietro</translation>
    </message>
    <message>
        <source>slower, faster</source>
        <translation>più lento, più veloce</translation>
    </message>
    <message>
        <source>round and round</source>
        <translation>in tondo</translation>
    </message>
    <message>
        <source>step the film beside</source>
        <translation>muovi il filmato accanto</translation>
    </message>
    <message>
        <source>accept the proposed rep, all of them</source>
        <translation>accetta la ripetizione proposta, tutte</translation>
    </message>
    <message>
        <source>split a rep here, merge it with the next</source>
        <translation>dividi qui una ripetizione, uniscila alla successiva</translation>
    </message>
    <message>
        <source>the rep begins, ends here</source>
        <translation>la ripetizione comincia, finisce qui</translation>
    </message>
    <message>
        <source>rep before, after</source>
        <translation>ripetizione prima, dopo</translation>
    </message>
    <message>
        <source>take the rep away</source>
        <translation>togli la ripetizione</translation>
    </message>
    <message>
        <source>no slow motion: the capture rate is the file&apos;s; of the whole day</source>
        <translation>niente rallentatore: la frequenza è quella del file; per tutto il giorno</translation>
    </message>
    <message>
        <source>whole picture</source>
        <translation>immagine intera</translation>
    </message>
</context>
<context>
    <name>riflesso::GateBar</name>
    <message>
        <source>%1 good of %2</source>
        <translation>%1 buone su %2</translation>
    </message>
    <message>
        <source>too hard</source>
        <translation>troppo difficile</translation>
    </message>
    <message>
        <source>learning</source>
        <translation>si impara</translation>
    </message>
    <message>
        <source>easy</source>
        <translation>facile</translation>
    </message>
    <message>
        <source>Gate</source>
        <translation>Soglia</translation>
    </message>
</context>
<context>
    <name>riflesso::GuideWindow</name>
    <message>
        <source>Guide</source>
        <translation>Guida</translation>
    </message>
    <message>
        <source>Search the guide</source>
        <translation>Cerca nella guida</translation>
    </message>
    <message>
        <source>Pages of the guide</source>
        <translation>Pagine della guida</translation>
    </message>
</context>
<context>
    <name>riflesso::HandoverPage</name>
    <message>
        <source>On paper</source>
        <translation>Su carta</translation>
    </message>
    <message>
        <source>Review</source>
        <translation>Commento</translation>
    </message>
    <message>
        <source>Scene by scene, with your voice: a film to take home.</source>
        <translation>Scena per scena, con la tua voce: un filmato da portare a casa.</translation>
    </message>
    <message>
        <source>For whom</source>
        <translation>Per chi</translation>
    </message>
    <message>
        <source>For the athlete</source>
        <translation>Per l&apos;atleta</translation>
    </message>
    <message>
        <source>For the coach</source>
        <translation>Per l&apos;allenatore</translation>
    </message>
    <message>
        <source>For a parent</source>
        <translation>Per un genitore</translation>
    </message>
    <message>
        <source>Paper</source>
        <translation>Carta</translation>
    </message>
    <message>
        <source>A4</source>
        <translation>A4</translation>
    </message>
    <message>
        <source>US Letter</source>
        <translation>Letter (USA)</translation>
    </message>
    <message>
        <source>Size of the print</source>
        <translation>Grandezza della stampa</translation>
    </message>
    <message>
        <source>Print %1 %</source>
        <translation>Stampa %1 %</translation>
    </message>
    <message>
        <source>Make the athlete&apos;s folder …</source>
        <translation>Fai la cartella dell&apos;atleta …</translation>
    </message>
    <message>
        <source>Guide of the technique …</source>
        <translation>Guida della tecnica …</translation>
    </message>
    <message>
        <source>The blueprint to print: key positions with pictures, faults, drills, cautions.</source>
        <translation>La scheda da stampare: posizioni chiave con immagini, difetti, esercizi, avvertenze.</translation>
    </message>
    <message>
        <source>Where the folder goes</source>
        <translation>Dove va la cartella</translation>
    </message>
    <message>
        <source>Collecting the pictures …</source>
        <translation>Raccolgo le immagini …</translation>
    </message>
    <message>
        <source>The athlete&apos;s folder</source>
        <translation>La cartella dell&apos;atleta</translation>
    </message>
    <message>
        <source>%1 with %2, %3 MB, is in %4.</source>
        <translation>%1 con %2, %3 MB, è in %4.</translation>
    </message>
    <message>
        <source>file</source>
        <translation>file</translation>
    </message>
    <message>
        <source>files</source>
        <translation>file</translation>
    </message>
    <message>
        <source>The guide of the technique</source>
        <translation>La guida della tecnica</translation>
    </message>
    <message>
        <source>Paper (*.pdf)</source>
        <translation>Carta (*.pdf)</translation>
    </message>
    <message>
        <source>The guide is in %1.</source>
        <translation>La guida è in %1.</translation>
    </message>
    <message>
        <source>The folder will hold %1: about %2 MB.</source>
        <translation>La cartella conterrà %1: circa %2 MB.</translation>
    </message>
    <message>
        <source>Page %1 of what is printed</source>
        <translation>Pagina %1 di ciò che si stampa</translation>
    </message>
</context>
<context>
    <name>riflesso::ItemForm</name>
    <message>
        <source>(choose)</source>
        <translation>(scegli)</translation>
    </message>
    <message>
        <source>%1 (is not there)</source>
        <translation>%1 (non c&apos;è)</translation>
    </message>
    <message>
        <source>Name</source>
        <translation>Nome</translation>
    </message>
</context>
<context>
    <name>riflesso::JobRow</name>
    <message>
        <source>%1: waiting</source>
        <translation>%1: in attesa</translation>
    </message>
    <message>
        <source>Cancel</source>
        <translation>Annulla</translation>
    </message>
    <message>
        <source>Cancel %1</source>
        <translation>Annulla %1</translation>
    </message>
    <message>
        <source>%1: stopping …</source>
        <translation>%1: mi fermo …</translation>
    </message>
    <message>
        <source>, %1 s to go</source>
        <translation>, ancora %1 s</translation>
    </message>
</context>
<context>
    <name>riflesso::KindSheet</name>
    <message>
        <source>What kind of measure</source>
        <translation>Quale tipo di misura</translation>
    </message>
</context>
<context>
    <name>riflesso::LadderView</name>
    <message>
        <source>The ladder of drills</source>
        <translation>La scala degli esercizi</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>for %1</source>
        <translation>per %1</translation>
    </message>
    <message>
        <source>no focus yet</source>
        <translation>ancora nessun focus</translation>
    </message>
    <message>
        <source>No focus yet. Take a finding up, and its drills stand here.</source>
        <translation>Ancora nessun focus. Prendi un rilievo in lavoro, e qui stanno i suoi esercizi.</translation>
    </message>
</context>
<context>
    <name>riflesso::LandingMap</name>
    <message>
        <source>Which reps</source>
        <translation>Quali ripetizioni</translation>
    </message>
    <message>
        <source>Where it lands</source>
        <translation>Dove arriva</translation>
    </message>
    <message>
        <source>all reps</source>
        <translation>tutte le ripetizioni</translation>
    </message>
    <message>
        <source>In pixels: draw a known length on the film, and it is centimetres.</source>
        <translation>In pixel: traccia una lunghezza nota sul filmato, e sono centimetri.</translation>
    </message>
</context>
<context>
    <name>riflesso::LandingPicture</name>
    <message>
        <source>Where the reps landed</source>
        <translation>Dove sono arrivate le ripetizioni</translation>
    </message>
    <message>
        <source>Nothing has landed yet. In Footage, under Reps, draw the zone once for a film and click where each rep came down.</source>
        <translation>Ancora nulla è arrivato. In Filmati, sotto Ripetizioni, traccia la zona una volta per filmato e clicca dove ogni ripetizione è arrivata.</translation>
    </message>
    <message>
        <source>%1 cm</source>
        <translation>%1 cm</translation>
    </message>
    <message>
        <source>%1 px</source>
        <translation>%1 px</translation>
    </message>
</context>
<context>
    <name>riflesso::LanguageRoom</name>
    <message>
        <source>Language of the translation</source>
        <translation>Lingua della traduzione</translation>
    </message>
    <message>
        <source>Texts and their translations</source>
        <translation>Testi e loro traduzioni</translation>
    </message>
    <message>
        <source>As written</source>
        <translation>Come scritto</translation>
    </message>
    <message>
        <source>Translated</source>
        <translation>Tradotto</translation>
    </message>
    <message>
        <source>translate a text</source>
        <translation>tradurre un testo</translation>
    </message>
    <message>
        <source>%1 of %2 texts are translated; the others are shown as written.</source>
        <translation>%1 testi su %2 sono tradotti; gli altri si mostrano come scritti.</translation>
    </message>
</context>
<context>
    <name>riflesso::LoopView</name>
    <message>
        <source>A rep that plays round and round</source>
        <translation>Una ripetizione che gira e rigira</translation>
    </message>
</context>
<context>
    <name>riflesso::Loupe</name>
    <message>
        <source>Loupe</source>
        <translation>Lente</translation>
    </message>
    <message>
        <source>What is under the pointer, enlarged. The wheel changes the power, 3 to 12 times.</source>
        <translation>Ciò che sta sotto il puntatore, ingrandito. La rotella cambia l&apos;ingrandimento, da 3 a 12 volte.</translation>
    </message>
</context>
<context>
    <name>riflesso::MainWindow</name>
    <message>
        <source>A name for the new library&apos;s folder</source>
        <translation>Un nome per la cartella della nuova libreria</translation>
    </message>
    <message>
        <source>Films</source>
        <translation>Filmati</translation>
    </message>
    <message>
        <source>Open a library</source>
        <translation>Apri una libreria</translation>
    </message>
    <message>
        <source>&amp;Library</source>
        <translation>&amp;Libreria</translation>
    </message>
    <message>
        <source>The &amp;shelf</source>
        <translation>Lo &amp;scaffale</translation>
    </message>
    <message>
        <source>New &amp;athlete …</source>
        <translation>Nuovo &amp;atleta …</translation>
    </message>
    <message>
        <source>&amp;Open a library …</source>
        <translation>&amp;Apri una libreria …</translation>
    </message>
    <message>
        <source>New &amp;library …</source>
        <translation>Nuova &amp;libreria …</translation>
    </message>
    <message>
        <source>&amp;Recent libraries</source>
        <translation>Librerie &amp;recenti</translation>
    </message>
    <message>
        <source>Restore a &amp;copy</source>
        <translation>Ripristina una &amp;copia</translation>
    </message>
    <message>
        <source>Take a &amp;bundle in …</source>
        <translation>&amp;Prendi un pacchetto …</translation>
    </message>
    <message>
        <source>Take a bundle in</source>
        <translation>Prendi un pacchetto</translation>
    </message>
    <message>
        <source>Riflesso bundles (*.riflesso)</source>
        <translation>Pacchetti di Riflesso (*.riflesso)</translation>
    </message>
    <message>
        <source>&amp;Films without a take …</source>
        <translation>&amp;Filmati senza ripresa …</translation>
    </message>
    <message>
        <source>Look at the &amp;demo</source>
        <translation>Guarda la &amp;dimostrazione</translation>
    </message>
    <message>
        <source>Se&amp;ttings …</source>
        <translation>&amp;Impostazioni …</translation>
    </message>
    <message>
        <source>&amp;Quit</source>
        <translation>&amp;Esci</translation>
    </message>
    <message>
        <source>&amp;Edit</source>
        <translation>&amp;Modifica</translation>
    </message>
    <message>
        <source>&amp;Undo</source>
        <translation>&amp;Annulla</translation>
    </message>
    <message>
        <source>&amp;Redo</source>
        <translation>&amp;Ripeti</translation>
    </message>
    <message>
        <source>&amp;Ask this frame …</source>
        <translation>Interr&amp;oga questo fotogramma …</translation>
    </message>
    <message>
        <source>Train your own &amp;eye …</source>
        <translation>Allena il tuo &amp;occhio …</translation>
    </message>
    <message>
        <source>Blueprint &amp;workshop …</source>
        <translation>Offi&amp;cina delle schede …</translation>
    </message>
    <message>
        <source>Another &amp;technique for this case …</source>
        <translation>Un&apos;altra &amp;tecnica per questo caso …</translation>
    </message>
    <message>
        <source>&amp;View</source>
        <translation>&amp;Vista</translation>
    </message>
    <message>
        <source>The next thing to &amp;do</source>
        <translation>La prossima cosa da &amp;fare</translation>
    </message>
    <message>
        <source>&amp;Dark theme</source>
        <translation>Tema &amp;scuro</translation>
    </message>
    <message>
        <source>&amp;Help</source>
        <translation>&amp;Aiuto</translation>
    </message>
    <message>
        <source>&amp;Guide</source>
        <translation>&amp;Guida</translation>
    </message>
    <message>
        <source>&amp;Tour of five steps</source>
        <translation>&amp;Giro in cinque passi</translation>
    </message>
    <message>
        <source>&amp;Keys</source>
        <translation>&amp;Tasti</translation>
    </message>
    <message>
        <source>From film to the next right drill</source>
        <translation>Dal filmato al prossimo esercizio giusto</translation>
    </message>
    <message>
        <source>A library keeps your athletes, their films and everything measured on them in one folder on this computer.</source>
        <translation>Una libreria tiene i tuoi atleti, i loro filmati e tutto ciò che vi si è misurato in una cartella su questo computer.</translation>
    </message>
    <message>
        <source>Open a library …</source>
        <translation>Apri una libreria …</translation>
    </message>
    <message>
        <source>A folder in which library.sqlite lies.</source>
        <translation>Una cartella in cui sta library.sqlite.</translation>
    </message>
    <message>
        <source>Start a new library …</source>
        <translation>Comincia una nuova libreria …</translation>
    </message>
    <message>
        <source>Give its folder a name.</source>
        <translation>Dai un nome alla sua cartella.</translation>
    </message>
    <message>
        <source>Look at the demo</source>
        <translation>Guarda la dimostrazione</translation>
    </message>
    <message>
        <source>An invented athlete, filmed by a simulated camera. The first time the films are made, which takes some minutes.</source>
        <translation>Un atleta inventato, filmato da una telecamera simulata. La prima volta i filmati vanno fatti: ci vuole qualche minuto.</translation>
    </message>
    <message>
        <source>Go on with %1</source>
        <translation>Continua con %1</translation>
    </message>
    <message>
        <source>Riflesso measures movement. It does not diagnose. Pain, dizziness or recent injury: stop and see a physician or physiotherapist.</source>
        <translation>Riflesso misura il movimento. Non fa diagnosi. Dolore, capogiri o un infortunio recente: fermati e vai da un medico o da un fisioterapista.</translation>
    </message>
    <message>
        <source>%1 Nothing is saved; you can look at everything.</source>
        <translation>%1 Non si salva nulla; puoi guardare tutto.</translation>
    </message>
    <message>
        <source>Carry the case over to version %1</source>
        <translation>Portare il caso alla versione %1</translation>
    </message>
    <message>
        <source>The blueprint is now version %1 (it was %2).</source>
        <translation>La scheda è ora alla versione %1 (era la %2).</translation>
    </message>
    <message>
        <source> Key positions without a place in it are kept, unused: %1.</source>
        <translation> Posizioni chiave che non vi hanno posto si tengono, inutilizzate: %1.</translation>
    </message>
    <message>
        <source>&amp;Undo: %1</source>
        <translation>&amp;Annulla: %1</translation>
    </message>
    <message>
        <source>&amp;Redo: %1</source>
        <translation>&amp;Ripeti: %1</translation>
    </message>
    <message>
        <source>Another program has changed this case; what is newer is shown.</source>
        <translation>Un altro programma ha cambiato questo caso; si mostra ciò che è più nuovo.</translation>
    </message>
    <message>
        <source>Keys</source>
        <translation>Tasti</translation>
    </message>
    <message>
        <source>None yet</source>
        <translation>Ancora nessuna</translation>
    </message>
    <message>
        <source>Restore a copy</source>
        <translation>Ripristina una copia</translation>
    </message>
    <message>
        <source>The library goes back to %1. What is in it now is kept beside as copies/replaced-N.sqlite; films are not touched.</source>
        <translation>La libreria torna al %1. Ciò che contiene ora resta accanto come copies/replaced-N.sqlite; i filmati non si toccano.</translation>
    </message>
    <message>
        <source>None yet: one is made each day</source>
        <translation>Ancora nessuna: se ne fa una al giorno</translation>
    </message>
    <message>
        <source>The library is as it was: %1.</source>
        <translation>La libreria è come era: %1.</translation>
    </message>
    <message>
        <source>Every film in this library belongs to a take.</source>
        <translation>Ogni filmato di questa libreria appartiene a una ripresa.</translation>
    </message>
    <message>
        <source>Films without a take</source>
        <translation>Filmati senza ripresa</translation>
    </message>
    <message>
        <source>%1 in this library: left by a program that was ended, or by a removal that could not be finished. %2</source>
        <translation>%1 in questa libreria: lasciati da un programma interrotto, o da un&apos;eliminazione che non si è potuta finire. %2</translation>
    </message>
    <message>
        <source>film belongs to no take</source>
        <translation>filmato non appartiene a nessuna ripresa</translation>
    </message>
    <message>
        <source>films belong to no take</source>
        <translation>filmati non appartengono a nessuna ripresa</translation>
    </message>
    <message>
        <source>Bring them into this case</source>
        <translation>Portali in questo caso</translation>
    </message>
    <message>
        <source>Delete them</source>
        <translation>Eliminali</translation>
    </message>
    <message>
        <source>Another technique for this case</source>
        <translation>Un&apos;altra tecnica per questo caso</translation>
    </message>
    <message>
        <source>Possible while nothing is marked, placed or practised.</source>
        <translation>Possibile finché nulla è marcato, posto o praticato.</translation>
    </message>
    <message>
        <source>Open or start a library first.</source>
        <translation>Prima apri o comincia una libreria.</translation>
    </message>
    <message>
        <source>A new version of this technique was kept. Open the case again to use it.</source>
        <translation>Si è tenuta una nuova versione di questa tecnica. Riapri il caso per usarla.</translation>
    </message>
    <message>
        <source>Filming the demo …</source>
        <translation>Filmo la dimostrazione …</translation>
    </message>
    <message>
        <source>Cancel</source>
        <translation>Annulla</translation>
    </message>
    <message>
        <source>%1, about %2 s to go</source>
        <translation>%1, ancora circa %2 s</translation>
    </message>
    <message>
        <source>Filming the rest of the demo: %1, %2 % of all</source>
        <translation>Filmo il resto della dimostrazione: %1, %2 % di tutto</translation>
    </message>
    <message>
        <source>The demo is whole: the others are on the shelf.</source>
        <translation>La dimostrazione è completa: gli altri sono sullo scaffale.</translation>
    </message>
    <message>
        <source>&amp;Move this library …</source>
        <translation>&amp;Sposta questa libreria …</translation>
    </message>
    <message>
        <source>Where the library goes</source>
        <translation>Dove va la libreria</translation>
    </message>
    <message>
        <source>Moving the library …</source>
        <translation>Sposto la libreria …</translation>
    </message>
    <message>
        <source>The library is at %1 now.</source>
        <translation>La libreria ora è in %1.</translation>
    </message>
</context>
<context>
    <name>riflesso::MarkCanvas</name>
    <message>
        <source>Frame to mark</source>
        <translation>Fotogramma da marcare</translation>
    </message>
    <message>
        <source>mark the %1 again</source>
        <translation>marcare di nuovo %1</translation>
    </message>
</context>
<context>
    <name>riflesso::MarkingPage</name>
    <message>
        <source>Carry the marks</source>
        <translation>Segui i segni</translation>
    </message>
    <message>
        <source>Carry the marks of rep %1</source>
        <translation>Segui i segni della ripetizione %1</translation>
    </message>
    <message>
        <source>Carry the %1</source>
        <translation>Segui %1</translation>
    </message>
    <message>
        <source>%1 (%2)</source>
        <translation>%1 (%2)</translation>
    </message>
    <message>
        <source>No key position can be proposed. Carry the rep&apos;s marks first. %1</source>
        <translation>Nessuna posizione chiave si può proporre. Prima segui i segni della ripetizione. %1</translation>
    </message>
    <message>
        <source>%1 proposed%2%3</source>
        <translation>%1 proposte%2%3</translation>
    </message>
    <message>
        <source>key position</source>
        <translation>posizione chiave</translation>
    </message>
    <message>
        <source>key positions</source>
        <translation>posizioni chiave</translation>
    </message>
    <message>
        <source>, %1 of them unsure</source>
        <translation>, %1 di esse incerte</translation>
    </message>
    <message>
        <source>; not found: %1</source>
        <translation>; non trovate: %1</translation>
    </message>
    <message>
        <source>Is every point where it belongs? %1 more to look at.</source>
        <translation>Ogni punto è al suo posto? Ancora %1 da guardare.</translation>
    </message>
    <message>
        <source>Is every point where it belongs? It may decide: %1. %2 more to look at.</source>
        <translation>Ogni punto è al suo posto? Potrebbe decidere: %1. Ancora %2 da guardare.</translation>
    </message>
    <message>
        <source>No mark would decide more: %1 need more reps or another film.</source>
        <translation>Nessun segno deciderebbe di più: %1 hanno bisogno di altre ripetizioni o di un altro filmato.</translation>
    </message>
    <message>
        <source>measure</source>
        <translation>misura</translation>
    </message>
    <message>
        <source>measures</source>
        <translation>misure</translation>
    </message>
    <message>
        <source>Nothing is left that a better mark would decide.</source>
        <translation>Non resta nulla che un segno migliore deciderebbe.</translation>
    </message>
    <message>
        <source>No key position is both hollow and surer than a frame.</source>
        <translation>Nessuna posizione chiave è insieme vuota e sicura a meno di un fotogramma.</translation>
    </message>
    <message>
        <source>This rep has no hollow key position.</source>
        <translation>Questa ripetizione non ha posizioni chiave vuote.</translation>
    </message>
    <message>
        <source>%1 accepted.</source>
        <translation>%1 accettate.</translation>
    </message>
    <message>
        <source>No hollow key position is unsure by more than a frame.</source>
        <translation>Nessuna posizione chiave vuota è incerta di più di un fotogramma.</translation>
    </message>
    <message>
        <source>copy marks with sides swapped</source>
        <translation>copiare i segni a lati scambiati</translation>
    </message>
    <message>
        <source>copy marks</source>
        <translation>copiare i segni</translation>
    </message>
    <message>
        <source>No rep of this take is marked yet. Mark one, then the others can start from it.</source>
        <translation>Ancora nessuna ripetizione di questa ripresa è marcata. Marcane una, poi le altre possono partire da quella.</translation>
    </message>
    <message>
        <source>No other rep of this take is marked by hand. Mark one, then the others can start from it.</source>
        <translation>Nessun&apos;altra ripetizione di questa ripresa è marcata a mano. Marcane una, poi le altre possono partire da quella.</translation>
    </message>
    <message>
        <source>%1 from %2 and %3</source>
        <translation>%1 da %2 e %3</translation>
    </message>
    <message>
        <source>Nothing is hidden that its neighbours could give away.</source>
        <translation>Non c&apos;è nulla di nascosto che i vicini possano rivelare.</translation>
    </message>
    <message>
        <source>read hidden points from their neighbours</source>
        <translation>leggere i punti nascosti dai loro vicini</translation>
    </message>
    <message>
        <source>%1 by proxy: %2</source>
        <translation>%1 dedotti: %2</translation>
    </message>
    <message>
        <source>mark</source>
        <translation>segno</translation>
    </message>
    <message>
        <source>marks</source>
        <translation>segni</translation>
    </message>
    <message>
        <source>Take</source>
        <translation>Ripresa</translation>
    </message>
    <message>
        <source>Rep</source>
        <translation>Ripetizione</translation>
    </message>
    <message>
        <source>Start a rep</source>
        <translation>Inizia qui</translation>
    </message>
    <message>
        <source>Play</source>
        <translation>Avvia</translation>
    </message>
    <message>
        <source>Next open point</source>
        <translation>Punto aperto</translation>
    </message>
    <message>
        <source>Key positions</source>
        <translation>Posizioni chiave</translation>
    </message>
    <message>
        <source>Carry</source>
        <translation>Segui</translation>
    </message>
    <message>
        <source>Draft …</source>
        <translation>Bozza …</translation>
    </message>
    <message>
        <source>Propose pegs</source>
        <translation>Proponi picchetti</translation>
    </message>
    <message>
        <source>Worst next</source>
        <translation>Il peggiore</translation>
    </message>
    <message>
        <source>More</source>
        <translation>Altro</translation>
    </message>
    <message>
        <source>Read hidden points from their neighbours</source>
        <translation>Leggi i punti nascosti dai loro vicini</translation>
    </message>
    <message>
        <source>Follow</source>
        <translation>Insegui</translation>
    </message>
    <message>
        <source>Measures of this rep that lie surely inside or outside their band, of those that can be read; and how many it were before the last marks.</source>
        <translation>Misure di questa ripetizione che stanno di sicuro dentro o fuori la loro fascia, fra quelle che si possono leggere; e quante erano prima degli ultimi segni.</translation>
    </message>
    <message>
        <source>Key positions: press the number on its frame</source>
        <translation>Posizioni chiave: premi il numero sul loro fotogramma</translation>
    </message>
    <message>
        <source>Panels of Marking</source>
        <translation>Pannelli della Marcatura</translation>
    </message>
    <message>
        <source>Figure</source>
        <translation>Figura</translation>
    </message>
    <message>
        <source>Curves</source>
        <translation>Curve</translation>
    </message>
    <message>
        <source>By eye</source>
        <translation>A occhio</translation>
    </message>
    <message>
        <source>Again</source>
        <translation>Di nuovo</translation>
    </message>
    <message>
        <source>Smoothing in sight</source>
        <translation>Lisciatura a vista</translation>
    </message>
    <message>
        <source>What is judged by eye</source>
        <translation>Che cosa si giudica a occhio</translation>
    </message>
    <message>
        <source>How good are my marks?</source>
        <translation>Quanto sono buoni i miei segni?</translation>
    </message>
    <message>
        <source>Pause</source>
        <translation>Pausa</translation>
    </message>
    <message>
        <source>not marked</source>
        <translation>non marcato</translation>
    </message>
    <message>
        <source>rep</source>
        <translation>ripetizione</translation>
    </message>
    <message>
        <source>reps</source>
        <translation>ripetizioni</translation>
    </message>
    <message>
        <source>Rep %1</source>
        <translation>Ripetizione %1</translation>
    </message>
    <message>
        <source>No film yet. Bring one in under Footage: drop a file on the window.</source>
        <translation>Ancora nessun filmato. Portane uno in Filmati: trascina un file sulla finestra.</translation>
    </message>
    <message>
        <source>Decoding the frame …</source>
        <translation>Decodifico il fotogramma …</translation>
    </message>
    <message>
        <source>not needed in this view</source>
        <translation>non serve in questa vista</translation>
    </message>
    <message>
        <source>to place</source>
        <translation>da porre</translation>
    </message>
    <message>
        <source>frame %1</source>
        <translation>fotogramma %1</translation>
    </message>
    <message>
        <source>frame %1, %2 open</source>
        <translation>fotogramma %1, %2 aperti</translation>
    </message>
    <message>
        <source>, unsure ± %1 ms</source>
        <translation>, incerto ± %1 ms</translation>
    </message>
    <message>
        <source>, proposed ± %1 ms</source>
        <translation>, proposto ± %1 ms</translation>
    </message>
    <message>
        <source>Bring in a film first.</source>
        <translation>Prima porta un filmato.</translation>
    </message>
    <message>
        <source>Worst next (%1)</source>
        <translation>Il peggiore (%1)</translation>
    </message>
    <message>
        <source>This frame is done. Enter goes to the next.</source>
        <translation>Questo fotogramma è fatto. Invio va al prossimo.</translation>
    </message>
    <message>
        <source>Marking again: click the %1. %2 to go on this frame.</source>
        <translation>Di nuovo: clicca %1. Ancora %2 su questo fotogramma.</translation>
    </message>
    <message>
        <source>point</source>
        <translation>punto</translation>
    </message>
    <message>
        <source>points</source>
        <translation>punti</translation>
    </message>
    <message>
        <source>“%1” is proposed here. %2 Enter accepts it, Ctrl and the arrow keys move it.</source>
        <translation>«%1» è proposta qui. %2 Invio la accetta, Ctrl e le frecce la spostano.</translation>
    </message>
    <message>
        <source>The %1 disagrees with “%2” by %3 px: one of the two marks is off. The line is where the other view sees it.</source>
        <translation>%1 non concorda con «%2» per %3 px: uno dei due segni è sbagliato. La linea è dove lo vede l&apos;altra vista.</translation>
    </message>
    <message>
        <source>The %1 is not marked here. Click it, or press X when it is not to be seen. %2 until every measure can be decided.</source>
        <translation>%1 non è marcato qui. Cliccalo, o premi X se non si vede. %2 prima che ogni misura si possa decidere.</translation>
    </message>
    <message>
        <source>frame</source>
        <translation>fotogramma</translation>
    </message>
    <message>
        <source>frames</source>
        <translation>fotogrammi</translation>
    </message>
    <message>
        <source>Worth a look: %1. Drag what is off, Enter when it is right. %2 until every measure can be decided.</source>
        <translation>Merita uno sguardo: %1. Trascina ciò che è fuori posto, Invio quando è giusto. %2 prima che ogni misura si possa decidere.</translation>
    </message>
    <message>
        <source>%1: click the %2. %3 to go on this frame.</source>
        <translation>%1: clicca %2. Ancora %3 su questo fotogramma.</translation>
    </message>
    <message>
        <source>Step to “%1” with the arrow keys and press %2. %3</source>
        <translation>Vai a «%1» con le frecce e premi %2. %3</translation>
    </message>
    <message>
        <source>Rep %1: %2 until every measure can be decided. Press W for the one that tells most.</source>
        <translation>Ripetizione %1: %2 prima che ogni misura si possa decidere. Premi W per quello che dice di più.</translation>
    </message>
    <message>
        <source>Rep %1 is marked. Press R to start the next one, or look at the Mirror.</source>
        <translation>La ripetizione %1 è marcata. Premi R per cominciare la prossima, o guarda lo Specchio.</translation>
    </message>
    <message>
        <source>All key positions are placed. Press N for the next open point.</source>
        <translation>Tutte le posizioni chiave sono poste. Premi N per il prossimo punto aperto.</translation>
    </message>
    <message>
        <source>%1 of %2 decided</source>
        <translation>%1 di %2 decise</translation>
    </message>
    <message>
        <source>%1, %2 before</source>
        <translation>%1, prima %2</translation>
    </message>
    <message>
        <source>one frame; with Shift ten</source>
        <translation>un fotogramma; con Maiusc dieci</translation>
    </message>
    <message>
        <source>first, last frame</source>
        <translation>primo, ultimo fotogramma</translation>
    </message>
    <message>
        <source>stay with the athlete while zoomed in</source>
        <translation>resta con l&apos;atleta quando è ingrandito</translation>
    </message>
    <message>
        <source>Wheel, + −</source>
        <translation>Rotella, + −</translation>
    </message>
    <message>
        <source>zoom</source>
        <translation>ingrandisci</translation>
    </message>
    <message>
        <source>Shift+drag, middle button</source>
        <translation>Maiusc+trascina, tasto centrale</translation>
    </message>
    <message>
        <source>pan</source>
        <translation>sposta la vista</translation>
    </message>
    <message>
        <source>whole picture</source>
        <translation>immagine intera</translation>
    </message>
    <message>
        <source>place the key position of that number here; with Shift the tenth and on</source>
        <translation>poni qui la posizione chiave di quel numero; con Maiusc dalla decima in poi</translation>
    </message>
    <message>
        <source>key position before, after</source>
        <translation>posizione chiave prima, dopo</translation>
    </message>
    <message>
        <source>start a rep</source>
        <translation>comincia una ripetizione</translation>
    </message>
    <message>
        <source>next open point of this rep</source>
        <translation>prossimo punto aperto di questa ripetizione</translation>
    </message>
    <message>
        <source>propose key positions</source>
        <translation>proponi posizioni chiave</translation>
    </message>
    <message>
        <source>accept the hollow peg or the carried mark shown; go to the next</source>
        <translation>accetta il picchetto vuoto o il segno riportato mostrato; vai al prossimo</translation>
    </message>
    <message>
        <source>accept all hollow pegs of this rep</source>
        <translation>accetta tutti i picchetti vuoti di questa ripetizione</translation>
    </message>
    <message>
        <source>accept those of all reps that are surer than a frame</source>
        <translation>accetta quelli di tutte le ripetizioni sicuri a meno di un fotogramma</translation>
    </message>
    <message>
        <source>next hollow peg that is unsure</source>
        <translation>prossimo picchetto vuoto incerto</translation>
    </message>
    <message>
        <source>move the peg on this frame</source>
        <translation>sposta il picchetto su questo fotogramma</translation>
    </message>
    <message>
        <source>Alt+arrows</source>
        <translation>Alt+frecce</translation>
    </message>
    <message>
        <source>nudge the mark by 1 px; with Shift by 0.1 px</source>
        <translation>sposta il segno di 1 px; con Maiusc di 0,1 px</translation>
    </message>
    <message>
        <source>landmark before, after</source>
        <translation>punto prima, dopo</translation>
    </message>
    <message>
        <source>take the mark away</source>
        <translation>togli il segno</translation>
    </message>
    <message>
        <source>carry this rep&apos;s marks, only this landmark&apos;s</source>
        <translation>segui i segni di questa ripetizione, solo quelli di questo punto</translation>
    </message>
    <message>
        <source>the frame most worth a look</source>
        <translation>il fotogramma che più merita uno sguardo</translation>
    </message>
    <message>
        <source>not to be seen on this frame</source>
        <translation>non visibile su questo fotogramma</translation>
    </message>
    <message>
        <source>swap left and right from here on</source>
        <translation>scambia destra e sinistra da qui in poi</translation>
    </message>
    <message>
        <source>copy the marks of the frame before</source>
        <translation>copia i segni del fotogramma prima</translation>
    </message>
    <message>
        <source>copy them with sides swapped</source>
        <translation>copiali a lati scambiati</translation>
    </message>
    <message>
        <source>start this rep from a marked one</source>
        <translation>comincia questa ripetizione da una già marcata</translation>
    </message>
    <message>
        <source>a draft of the body on every frame, by the machine</source>
        <translation>una bozza del corpo su ogni fotogramma, fatta dalla macchina</translation>
    </message>
    <message>
        <source>loupe weaker, stronger</source>
        <translation>lente più debole, più forte</translation>
    </message>
    <message>
        <source>play, pause</source>
        <translation>riproduci, pausa</translation>
    </message>
    <message>
        <source>A new rep of this take. Its first key position goes on the frame you place it on.</source>
        <translation>Una nuova ripetizione di questa ripresa. La sua prima posizione chiave va sul fotogramma dove la poni.</translation>
    </message>
    <message>
        <source>Go to the next place of this rep where a key position or a point is missing.</source>
        <translation>Vai al prossimo posto di questa ripetizione dove manca una posizione chiave o un punto.</translation>
    </message>
    <message>
        <source>Play at the film&apos;s own pace.</source>
        <translation>Riproduci al passo del filmato.</translation>
    </message>
    <message>
        <source>Let the machine look for the body on every frame: a draft to be checked, no measurement.</source>
        <translation>Lascia che la macchina cerchi il corpo su ogni fotogramma: una bozza da verificare, non una misura.</translation>
    </message>
    <message>
        <source>Follow this rep&apos;s hand marks through all its frames, in the background; with Shift only this landmark.</source>
        <translation>Segue i segni fatti a mano in questa ripetizione su tutti i suoi fotogrammi, in secondo piano; con Maiusc solo questo punto.</translation>
    </message>
    <message>
        <source>Set hollow pegs where the movement shows the key positions. Enter accepts one.</source>
        <translation>Pone picchetti vuoti dove il movimento mostra le posizioni chiave. Invio ne accetta uno.</translation>
    </message>
    <message>
        <source>Go to the frame whose correction makes the measures surest.</source>
        <translation>Vai al fotogramma la cui correzione rende più sicure le misure.</translation>
    </message>
    <message>
        <source>Stay with the athlete while zoomed in.</source>
        <translation>Resta con l&apos;atleta quando è ingrandito.</translation>
    </message>
    <message>
        <source>take the peg on this frame away</source>
        <translation>togli il picchetto su questo fotogramma</translation>
    </message>
</context>
<context>
    <name>riflesso::MeasureEditor</name>
    <message>
        <source>Target</source>
        <translation>Obiettivo</translation>
    </message>
    <message>
        <source>Add a target</source>
        <translation>Aggiungi un obiettivo</translation>
    </message>
    <message>
        <source>Remove</source>
        <translation>Togli</translation>
    </message>
    <message>
        <source>Remove a target</source>
        <translation>Togli un obiettivo</translation>
    </message>
    <message>
        <source>Drag the band</source>
        <translation>Trascina la fascia</translation>
    </message>
    <message>
        <source>Points</source>
        <translation>Punti</translation>
    </message>
    <message>
        <source>Name</source>
        <translation>Nome</translation>
    </message>
    <message>
        <source>Kind</source>
        <translation>Tipo</translation>
    </message>
    <message>
        <source>What of it</source>
        <translation>Che cosa di esso</translation>
    </message>
    <message>
        <source>For the athlete</source>
        <translation>Per l&apos;atleta</translation>
    </message>
    <message>
        <source>At</source>
        <translation>In</translation>
    </message>
    <message>
        <source>Until</source>
        <translation>Fino a</translation>
    </message>
    <message>
        <source>Of the phase</source>
        <translation>Della fase</translation>
    </message>
    <message>
        <source>“at” reads it at the position, “just before” from the frames before it only, because a contact changes what follows; anything else over the frames until the second</source>
        <translation>«a» la legge nella posizione, «appena prima» dai soli fotogrammi precedenti, perché un contatto cambia ciò che segue; ogni altra scelta sui fotogrammi fino alla seconda</translation>
    </message>
    <message>
        <source>lead_hip, lead_knee, lead_ankle; two joined by + are their middle</source>
        <translation>lead_hip, lead_knee, lead_ankle; due uniti da + sono il loro mezzo</translation>
    </message>
    <message>
        <source>“%1” has a name in it that is no landmark.</source>
        <translation>«%1» contiene un nome che non è un punto.</translation>
    </message>
    <message>
        <source>Reading</source>
        <translation>Lettura</translation>
    </message>
    <message>
        <source>Seen from</source>
        <translation>Visto da</translation>
    </message>
    <message>
        <source>Direction</source>
        <translation>Direzione</translation>
    </message>
    <message>
        <source>any</source>
        <translation>qualsiasi</translation>
    </message>
    <message>
        <source>two ends of a segment, or metres; empty = pixels</source>
        <translation>due estremi di un segmento, o metres; vuoto = pixel</translation>
    </message>
    <message>
        <source>Unit of length</source>
        <translation>Unità di lunghezza</translation>
    </message>
    <message>
        <source>metres</source>
        <translation>metri</translation>
    </message>
    <message>
        <source>Name of the unit</source>
        <translation>Nome dell&apos;unità</translation>
    </message>
    <message>
        <source>Slower than</source>
        <translation>Più lento di</translation>
    </message>
    <message>
        <source>Lower than</source>
        <translation>Più basso di</translation>
    </message>
    <message>
        <source>Full width</source>
        <translation>Larghezza piena</translation>
    </message>
    <message>
        <source>± of that</source>
        <translation>± di questo</translation>
    </message>
    <message>
        <source>Cycles</source>
        <translation>Cicli</translation>
    </message>
    <message>
        <source>Back from</source>
        <translation>Indietro da</translation>
    </message>
    <message>
        <source>Back to</source>
        <translation>Indietro a</translation>
    </message>
    <message>
        <source>root mean square instead of the largest</source>
        <translation>valore efficace invece del più grande</translation>
    </message>
    <message>
        <source>against its own line</source>
        <translation>rispetto alla propria linea</translation>
    </message>
    <message>
        <source>First on</source>
        <translation>Primo appoggio</translation>
    </message>
    <message>
        <source>First off</source>
        <translation>Primo stacco</translation>
    </message>
    <message>
        <source>Second on</source>
        <translation>Secondo appoggio</translation>
    </message>
    <message>
        <source>Second off</source>
        <translation>Secondo stacco</translation>
    </message>
    <message>
        <source>Events</source>
        <translation>Eventi</translation>
    </message>
    <message>
        <source>Read of</source>
        <translation>Letto di</translation>
    </message>
    <message>
        <source>and of</source>
        <translation>e di</translation>
    </message>
    <message>
        <source>one a line, in order: hips: lead_hip+rear_hip</source>
        <translation>uno per riga, in ordine: hips: lead_hip+rear_hip</translation>
    </message>
    <message>
        <source>Links</source>
        <translation>Anelli</translation>
    </message>
    <message>
        <source>“%1” is no link: a name, a colon, one to three landmarks.</source>
        <translation>«%1» non è un anello: un nome, due punti, da uno a tre punti del corpo.</translation>
    </message>
    <message>
        <source>Checkpoint</source>
        <translation>Punto di controllo</translation>
    </message>
    <message>
        <source>Too low means</source>
        <translation>Troppo basso significa</translation>
    </message>
    <message>
        <source>Too high means</source>
        <translation>Troppo alto significa</translation>
    </message>
    <message>
        <source>Compared: from</source>
        <translation>Confrontato: da</translation>
    </message>
    <message>
        <source>until</source>
        <translation>fino a</translation>
    </message>
    <message>
        <source>%1, rep %2</source>
        <translation>%1, ripetizione %2</translation>
    </message>
    <message>
        <source>all reps of the model</source>
        <translation>tutte le ripetizioni del modello</translation>
    </message>
    <message>
        <source>all reps</source>
        <translation>tutte le ripetizioni</translation>
    </message>
    <message>
        <source>cannot be read: %1</source>
        <translation>non si può leggere: %1</translation>
    </message>
    <message>
        <source>No take of this case shows it: it needs a view %1.</source>
        <translation>Nessuna ripresa di questo caso la mostra: serve una vista %1.</translation>
    </message>
    <message>
        <source>Open a case to try it on its films.</source>
        <translation>Apri un caso per provarla sui suoi filmati.</translation>
    </message>
    <message>
        <source>open</source>
        <translation>aperto</translation>
    </message>
    <message>
        <source>Which target</source>
        <translation>Quale obiettivo</translation>
    </message>
    <message>
        <source>Source</source>
        <translation>Fonte</translation>
    </message>
    <message>
        <source>From</source>
        <translation>Da</translation>
    </message>
    <message>
        <source>To</source>
        <translation>A</translation>
    </message>
    <message>
        <source>Unit</source>
        <translation>Unità</translation>
    </message>
    <message>
        <source>Half the width below which no band is narrower; for open bands the unit of severity</source>
        <translation>Metà della larghezza sotto la quale nessuna fascia è più stretta; per le fasce aperte l&apos;unità della gravità</translation>
    </message>
    <message>
        <source>School</source>
        <translation>Scuola</translation>
    </message>
    <message>
        <source>Situation</source>
        <translation>Situazione</translation>
    </message>
    <message>
        <source>Note</source>
        <translation>Nota</translation>
    </message>
    <message>
        <source>where this target comes from</source>
        <translation>da dove viene questo obiettivo</translation>
    </message>
    <message>
        <source>all</source>
        <translation>tutte</translation>
    </message>
</context>
<context>
    <name>riflesso::MirrorBoard</name>
    <message>
        <source>Board of key positions, athlete above, model below</source>
        <translation>Tavola delle posizioni chiave, sopra l&apos;atleta, sotto il modello</translation>
    </message>
    <message>
        <source>no rep from this view</source>
        <translation>nessuna ripetizione da questa vista</translation>
    </message>
    <message>
        <source>not placed in this rep</source>
        <translation>non posta in questa ripetizione</translation>
    </message>
    <message>
        <source>No rep of the athlete has key positions yet.
Place them in Marking: step to the moment and press its number.</source>
        <translation>Nessuna ripetizione dell&apos;atleta ha ancora posizioni chiave.
Ponile in Marcatura: vai al momento e premi il suo numero.</translation>
    </message>
    <message>
        <source>, draft</source>
        <translation>, bozza</translation>
    </message>
    <message>
        <source>%1 Click to see the whole frame.</source>
        <translation>%1 Clicca per vedere tutto il fotogramma.</translation>
    </message>
</context>
<context>
    <name>riflesso::MirrorCurve</name>
    <message>
        <source>Curve of a measure against the phases of the movement</source>
        <translation>Curva di una misura lungo le fasi del movimento</translation>
    </message>
    <message>
        <source>No curve: this measure needs marks on the frames between the key positions.</source>
        <translation>Nessuna curva: a questa misura servono segni sui fotogrammi fra le posizioni chiave.</translation>
    </message>
</context>
<context>
    <name>riflesso::MirrorCurves</name>
    <message>
        <source>Curves of several measures against the phases of the movement</source>
        <translation>Curve di più misure lungo le fasi del movimento</translation>
    </message>
    <message>
        <source>No curve: the measures need marks on the frames between the key positions.</source>
        <translation>Nessuna curva: alle misure servono segni sui fotogrammi fra le posizioni chiave.</translation>
    </message>
    <message>
        <source>, model %1</source>
        <translation>, modello %1</translation>
    </message>
    <message>
        <source>up: %1</source>
        <translation>in alto: %1</translation>
    </message>
    <message>
        <source>to the right: %1</source>
        <translation>verso destra: %1</translation>
    </message>
</context>
<context>
    <name>riflesso::MirrorMoving</name>
    <message>
        <source>Both films moving, athlete above, model below</source>
        <translation>Entrambi i filmati in moto, sopra l&apos;atleta, sotto il modello</translation>
    </message>
    <message>
        <source>Cut a rep and place its key positions first.</source>
        <translation>Prima taglia una ripetizione e poni le sue posizioni chiave.</translation>
    </message>
    <message>
        <source>%1, %2 s</source>
        <translation>%1, %2 s</translation>
    </message>
    <message>
        <source>Bring in a model performance from this view, and it moves here below the line.</source>
        <translation>Porta una prestazione modello da questa vista, e si muove qui sotto la linea.</translation>
    </message>
</context>
<context>
    <name>riflesso::MirrorPage</name>
    <message>
        <source>The athlete&apos;s rep</source>
        <translation>La ripetizione dell&apos;atleta</translation>
    </message>
    <message>
        <source>The model&apos;s rep</source>
        <translation>La ripetizione del modello</translation>
    </message>
    <message>
        <source>Measure of the curve</source>
        <translation>Misura della curva</translation>
    </message>
    <message>
        <source>Board</source>
        <translation>Tavola</translation>
    </message>
    <message>
        <source>One column a key position, the measures that matter between.</source>
        <translation>Una colonna per posizione chiave, in mezzo le misure che contano.</translation>
    </message>
    <message>
        <source>Moving</source>
        <translation>In moto</translation>
    </message>
    <message>
        <source>Both films on the same moments. Space plays.</source>
        <translation>Entrambi i filmati sugli stessi momenti. Spazio li avvia.</translation>
    </message>
    <message>
        <source>Trace</source>
        <translation>Scia</translation>
    </message>
    <message>
        <source>A phase on one picture, with the paths of the points that tell most. (T)</source>
        <translation>Una fase in una sola immagine, con i percorsi dei punti che dicono di più. (T)</translation>
    </message>
    <message>
        <source>Above the line</source>
        <translation>Sopra la linea</translation>
    </message>
    <message>
        <source>Below it</source>
        <translation>Sotto la linea</translation>
    </message>
    <message>
        <source>Curve</source>
        <translation>Curva</translation>
    </message>
    <message>
        <source>Speed</source>
        <translation>Velocità</translation>
    </message>
    <message>
        <source>%1 speed</source>
        <translation>velocità %1</translation>
    </message>
    <message>
        <source>By the movement: the same key position at the same moment. By the clock: the same time since the first one; who is late stays late. (C)</source>
        <translation>Secondo il movimento: la stessa posizione chiave nello stesso momento. Secondo l&apos;orologio: lo stesso tempo dalla prima; chi è in ritardo resta in ritardo. (C)</translation>
    </message>
    <message>
        <source>Ghost</source>
        <translation>Trasparenza</translation>
    </message>
    <message>
        <source>The model&apos;s figure over the athlete: on the same foot, each segment as long as the athlete&apos;s own. Again, and it is fainter. (G)</source>
        <translation>La figura del modello sull&apos;atleta: sullo stesso piede, ogni segmento lungo come quello dell&apos;atleta. Ancora una volta, ed è più tenue. (G)</translation>
    </message>
    <message>
        <source>Loop phase</source>
        <translation>Ripeti la fase</translation>
    </message>
    <message>
        <source>Only the phase between two key positions where the playhead is, round and round. (L)</source>
        <translation>Solo la fase fra due posizioni chiave dov&apos;è il cursore, in tondo. (L)</translation>
    </message>
    <message>
        <source>Backwards</source>
        <translation>All&apos;indietro</translation>
    </message>
    <message>
        <source>From the end to the beginning. (B)</source>
        <translation>Dalla fine all&apos;inizio. (B)</translation>
    </message>
    <message>
        <source>Angles</source>
        <translation>Inquadrature</translation>
    </message>
    <message>
        <source>Beside each film the other angle that is locked to it. (A)</source>
        <translation>Accanto a ogni filmato l&apos;altra inquadratura agganciata. (A)</translation>
    </message>
    <message>
        <source>Clip …</source>
        <translation>Clip …</translation>
    </message>
    <message>
        <source>What is seen here as a film to take home. (E)</source>
        <translation>Ciò che si vede qui come filmato da portare a casa. (E)</translation>
    </message>
    <message>
        <source>Curves</source>
        <translation>Curve</translation>
    </message>
    <message>
        <source>Three measures with the playhead through them; again, one against another. (V)</source>
        <translation>Tre misure con il cursore che le attraversa; ancora una volta, l&apos;una contro l&apos;altra. (V)</translation>
    </message>
    <message>
        <source>On their bands</source>
        <translation>Sulle loro fasce</translation>
    </message>
    <message>
        <source>Pause</source>
        <translation>Pausa</translation>
    </message>
    <message>
        <source>Play</source>
        <translation>Riproduci</translation>
    </message>
    <message>
        <source>By the clock</source>
        <translation>Secondo l&apos;orologio</translation>
    </message>
    <message>
        <source>By the movement</source>
        <translation>Secondo il movimento</translation>
    </message>
    <message>
        <source>Against</source>
        <translation>Contro</translation>
    </message>
    <message>
        <source>own: %1</source>
        <translation>proprio: %1</translation>
    </message>
    <message>
        <source>board, moving</source>
        <translation>tavola, in moto</translation>
    </message>
    <message>
        <source>play both films, pause</source>
        <translation>riproduci entrambi i filmati, pausa</translation>
    </message>
    <message>
        <source>one frame; with Shift ten</source>
        <translation>un fotogramma; con Maiusc dieci</translation>
    </message>
    <message>
        <source>by the movement, by the clock</source>
        <translation>secondo il movimento, secondo l&apos;orologio</translation>
    </message>
    <message>
        <source>the model&apos;s figure over the athlete; fainter</source>
        <translation>la figura del modello sull&apos;atleta; più tenue</translation>
    </message>
    <message>
        <source>loop the phase, backwards</source>
        <translation>ripeti la fase, all&apos;indietro</translation>
    </message>
    <message>
        <source>the other angle beside each</source>
        <translation>l&apos;altra inquadratura accanto a ciascuno</translation>
    </message>
    <message>
        <source>other curves below</source>
        <translation>altre curve sotto</translation>
    </message>
    <message>
        <source>a phase on one picture; what is seen as a clip</source>
        <translation>una fase in una sola immagine; ciò che si vede come clip</translation>
    </message>
    <message>
        <source>slower, faster</source>
        <translation>più lento, più veloce</translation>
    </message>
    <message>
        <source>%1, rep %2</source>
        <translation>%1, ripetizione %2</translation>
    </message>
</context>
<context>
    <name>riflesso::MirrorTrace</name>
    <message>
        <source>The movement on one picture, athlete above, model below</source>
        <translation>Il movimento in una sola immagine, sopra l&apos;atleta, sotto il modello</translation>
    </message>
    <message>
        <source>Exposures</source>
        <translation>Esposizioni</translation>
    </message>
    <message>
        <source>one a key position</source>
        <translation>una per posizione chiave</translation>
    </message>
    <message>
        <source>The phase begins at</source>
        <translation>La fase comincia a</translation>
    </message>
    <message>
        <source>The phase ends at</source>
        <translation>La fase finisce a</translation>
    </message>
    <message>
        <source>Save the picture …</source>
        <translation>Salva l&apos;immagine …</translation>
    </message>
    <message>
        <source>Points whose paths are drawn</source>
        <translation>Punti di cui si tracciano i percorsi</translation>
    </message>
    <message>
        <source>The phase</source>
        <translation>La fase</translation>
    </message>
    <message>
        <source>from</source>
        <translation>da</translation>
    </message>
    <message>
        <source>to</source>
        <translation>a</translation>
    </message>
    <message>
        <source>Paths</source>
        <translation>Percorsi</translation>
    </message>
    <message>
        <source>Thicker is faster; a tick each tenth of a second. Nothing chosen: what travels farthest of arms and of legs.</source>
        <translation>Più spesso è più veloce; una tacca ogni decimo di secondo. Senza scelta: ciò che viaggia di più fra braccia e gambe.</translation>
    </message>
    <message>
        <source>the beginning</source>
        <translation>l&apos;inizio</translation>
    </message>
    <message>
        <source>the end</source>
        <translation>la fine</translation>
    </message>
    <message>
        <source>Cut a rep and place its key positions first.</source>
        <translation>Prima taglia una ripetizione e poni le sue posizioni chiave.</translation>
    </message>
    <message>
        <source>Exposing …</source>
        <translation>Espongo …</translation>
    </message>
    <message>
        <source>Save the picture</source>
        <translation>Salva l&apos;immagine</translation>
    </message>
    <message>
        <source>trace.png</source>
        <translation>scia.png</translation>
    </message>
    <message>
        <source>Pictures (*.png *.jpg)</source>
        <translation>Immagini (*.png *.jpg)</translation>
    </message>
    <message>
        <source>Saved as %1.</source>
        <translation>Salvato come %1.</translation>
    </message>
</context>
<context>
    <name>riflesso::OwnDaysChart</name>
    <message>
        <source>Days on your own</source>
        <translation>Giorni da solo</translation>
    </message>
    <message>
        <source>%1: %2 minutes</source>
        <translation>%1: %2 minuti</translation>
    </message>
    <message>
        <source>feet %1 of 10</source>
        <translation>piedi %1 su 10</translation>
    </message>
    <message>
        <source>hands %1 of 10</source>
        <translation>mani %1 su 10</translation>
    </message>
    <message>
        <source>minutes</source>
        <translation>minuti</translation>
    </message>
    <message>
        <source>feet fast</source>
        <translation>piedi veloci</translation>
    </message>
    <message>
        <source>hands calm</source>
        <translation>mani calme</translation>
    </message>
</context>
<context>
    <name>riflesso::OwnDrillDialog</name>
    <message>
        <source>A drill of your own</source>
        <translation>Un esercizio tuo</translation>
    </message>
    <message>
        <source>Change a drill of your own</source>
        <translation>Cambia un esercizio tuo</translation>
    </message>
    <message>
        <source>the wrong version to feel against the right one; may be empty</source>
        <translation>la versione sbagliata da sentire contro la giusta; può restare vuoto</translation>
    </message>
    <message>
        <source>can be done alone at home</source>
        <translation>si può fare da solo a casa</translation>
    </message>
    <message>
        <source>needs a partner</source>
        <translation>serve un compagno</translation>
    </message>
    <message>
        <source>What it is for</source>
        <translation>A che cosa serve</translation>
    </message>
    <message>
        <source>Name</source>
        <translation>Nome</translation>
    </message>
    <message>
        <source>How it goes</source>
        <translation>Come si fa</translation>
    </message>
    <message>
        <source>Cue, in few words</source>
        <translation>Richiamo, in poche parole</translation>
    </message>
    <message>
        <source>Right and wrong</source>
        <translation>Giusto e sbagliato</translation>
    </message>
    <message>
        <source>Caution</source>
        <translation>Avvertenza</translation>
    </message>
    <message>
        <source>minutes</source>
        <translation>minuti</translation>
    </message>
    <message>
        <source>Stage</source>
        <translation>Livello</translation>
    </message>
    <message>
        <source>Take it away</source>
        <translation>Toglilo</translation>
    </message>
    <message>
        <source>It needs a name, a cue, and what it is for.</source>
        <translation>Servono un nome, un richiamo, e a che cosa serve.</translation>
    </message>
    <message>
        <source>from where, how high, which side: parted by commas</source>
        <translation>da dove, a che altezza, da che lato: separati da virgole</translation>
    </message>
    <message>
        <source>Variations</source>
        <translation>Varianti</translation>
    </message>
    <message>
        <source>The drill is gone from the ladder.</source>
        <translation>L&apos;esercizio non è più sulla scala.</translation>
    </message>
    <message>
        <source>“%1” stands on the ladder now.</source>
        <translation>«%1» ora è sulla scala.</translation>
    </message>
</context>
<context>
    <name>riflesso::PicturePanel</name>
    <message>
        <source>Swap left and right</source>
        <translation>Scambia destra e sinistra</translation>
    </message>
    <message>
        <source>So that a left-handed athlete stands like a right-handed model. Marks and numbers stay as they are.</source>
        <translation>Così un atleta mancino sta come un modello destrimano. Segni e numeri restano come sono.</translation>
    </message>
    <message>
        <source>Brightness</source>
        <translation>Luminosità</translation>
    </message>
    <message>
        <source>Contrast</source>
        <translation>Contrasto</translation>
    </message>
    <message>
        <source>Crop to the athlete</source>
        <translation>Ritaglia sull&apos;atleta</translation>
    </message>
    <message>
        <source>Whole picture</source>
        <translation>Immagine intera</translation>
    </message>
    <message>
        <source>Brightness and contrast as filmed</source>
        <translation>Luminosità e contrasto come filmati</translation>
    </message>
    <message>
        <source>How it is shown</source>
        <translation>Come si mostra</translation>
    </message>
    <message>
        <source>The film itself is never changed, nor what is measured on it.</source>
        <translation>Il filmato stesso non cambia mai, né ciò che vi si misura.</translation>
    </message>
    <message>
        <source>swap left and right</source>
        <translation>scambiare destra e sinistra</translation>
    </message>
    <message>
        <source>change brightness or contrast</source>
        <translation>cambiare luminosità o contrasto</translation>
    </message>
    <message>
        <source>show it as filmed</source>
        <translation>mostrarlo come filmato</translation>
    </message>
    <message>
        <source>crop to the athlete</source>
        <translation>ritagliare sull&apos;atleta</translation>
    </message>
    <message>
        <source>show the whole picture</source>
        <translation>mostrare l&apos;immagine intera</translation>
    </message>
</context>
<context>
    <name>riflesso::PlanCalendar</name>
    <message>
        <source>The plan by weeks and days</source>
        <translation>Il piano per settimane e giorni</translation>
    </message>
    <message>
        <source>%1: %2, %3 minutes</source>
        <translation>%1: %2, %3 minuti</translation>
    </message>
    <message>
        <source>%1 min</source>
        <translation>%1 min</translation>
    </message>
    <message>
        <source>%1 of %2</source>
        <translation>%1 di %2</translation>
    </message>
    <message>
        <source>Competition</source>
        <translation>Gara</translation>
    </message>
    <message>
        <source>rest</source>
        <translation>riposo</translation>
    </message>
    <message>
        <source>overruled: %1</source>
        <translation>imposto: %1</translation>
    </message>
    <message>
        <source>%1, %2 min.
%3</source>
        <translation>%1, %2 min.
%3</translation>
    </message>
    <message>
        <source>home</source>
        <translation>casa</translation>
    </message>
    <message>
        <source>alone</source>
        <translation>da solo</translation>
    </message>
    <message>
        <source>%1, %2</source>
        <translation>%1, %2</translation>
    </message>
</context>
<context>
    <name>riflesso::PointsPanel</name>
    <message>
        <source>Which points are asked for on this take.</source>
        <translation>Quali punti si chiedono su questa ripresa.</translation>
    </message>
    <message>
        <source>What to add</source>
        <translation>Che cosa aggiungere</translation>
    </message>
    <message>
        <source>Implement: both ends</source>
        <translation>Attrezzo: entrambi gli estremi</translation>
    </message>
    <message>
        <source>Implement: its tip</source>
        <translation>Attrezzo: la punta</translation>
    </message>
    <message>
        <source>Implement: its centre</source>
        <translation>Attrezzo: il centro</translation>
    </message>
    <message>
        <source>Ball</source>
        <translation>Palla</translation>
    </message>
    <message>
        <source>Fixed point of the scene</source>
        <translation>Punto fisso della scena</translation>
    </message>
    <message>
        <source>called …</source>
        <translation>di nome …</translation>
    </message>
    <message>
        <source>What it is called</source>
        <translation>Come si chiama</translation>
    </message>
    <message>
        <source>Add</source>
        <translation>Aggiungi</translation>
    </message>
    <message>
        <source>Marked once, it is there on every frame while the camera stands still.</source>
        <translation>Marcato una volta, sta su ogni fotogramma finché la telecamera è ferma.</translation>
    </message>
    <message>
        <source>what is measured</source>
        <translation>ciò che si misura</translation>
    </message>
    <message>
        <source>whole figure</source>
        <translation>figura intera</translation>
    </message>
    <message>
        <source>near side</source>
        <translation>lato vicino</translation>
    </message>
    <message>
        <source>upper body</source>
        <translation>parte superiore</translation>
    </message>
    <message>
        <source>legs</source>
        <translation>gambe</translation>
    </message>
    <message>
        <source>, hands, feet</source>
        <translation>, mani, piedi</translation>
    </message>
    <message>
        <source>, hands</source>
        <translation>, mani</translation>
    </message>
    <message>
        <source>, feet</source>
        <translation>, piedi</translation>
    </message>
    <message>
        <source> + %1</source>
        <translation> + %1</translation>
    </message>
    <message>
        <source>Points: %1</source>
        <translation>Punti: %1</translation>
    </message>
    <message>
        <source>What the measures need</source>
        <translation>Ciò che serve alle misure</translation>
    </message>
    <message>
        <source>Whole figure</source>
        <translation>Figura intera</translation>
    </message>
    <message>
        <source>Side near the camera</source>
        <translation>Lato vicino alla telecamera</translation>
    </message>
    <message>
        <source>Upper body</source>
        <translation>Parte superiore</translation>
    </message>
    <message>
        <source>Legs</source>
        <translation>Gambe</translation>
    </message>
    <message>
        <source>ask for: %1</source>
        <translation>chiedere: %1</translation>
    </message>
    <message>
        <source>Fingers</source>
        <translation>Dita delle mani</translation>
    </message>
    <message>
        <source>Toes</source>
        <translation>Dita dei piedi</translation>
    </message>
    <message>
        <source>Add an implement, a ball, a person, a fixed point</source>
        <translation>Aggiungi un attrezzo, una palla, una persona, un punto fisso</translation>
    </message>
    <message>
        <source>No longer ask for</source>
        <translation>Non chiedere più</translation>
    </message>
    <message>
        <source>no longer ask for the %1</source>
        <translation>non chiedere più %1</translation>
    </message>
    <message>
        <source>Give it a name of letters and digits that is not a part of the body.</source>
        <translation>Dagli un nome di lettere e cifre che non sia una parte del corpo.</translation>
    </message>
    <message>
        <source>The %1 is asked for already: give this one another name.</source>
        <translation>%1 è già richiesto: dai a questo un altro nome.</translation>
    </message>
    <message>
        <source>ask for the %1</source>
        <translation>chiedere %1</translation>
    </message>
    <message>
        <source>Another person</source>
        <translation>Un&apos;altra persona</translation>
    </message>
    <message>
        <source>Another person, upper body</source>
        <translation>Un&apos;altra persona, parte alta del corpo</translation>
    </message>
    <message>
        <source>Name of the %1 …</source>
        <translation>Nome: %1 …</translation>
    </message>
    <message>
        <source>Another person in this film</source>
        <translation>Un&apos;altra persona in questo filmato</translation>
    </message>
    <message>
        <source>Name</source>
        <translation>Nome</translation>
    </message>
    <message>
        <source>More than %1 people cannot be marked in one take.</source>
        <translation>In una ripresa non si possono marcare più di %1 persone.</translation>
    </message>
    <message>
        <source>Somebody in this take is called so already: give another name.</source>
        <translation>In questa ripresa qualcuno si chiama già così: scegli un altro nome.</translation>
    </message>
</context>
<context>
    <name>riflesso::PracticePage</name>
    <message>
        <source>Why not? One more key, or go on.</source>
        <translation>Perché no? Un tasto ancora, o vai avanti.</translation>
    </message>
    <message>
        <source>Noted: %1</source>
        <translation>Annotato: %1</translation>
    </message>
    <message>
        <source>%1
%2</source>
        <translation>%1
%2</translation>
    </message>
    <message>
        <source>%1 of %2 good</source>
        <translation>%1 buone su %2</translation>
    </message>
    <message>
        <source>%1 min alone</source>
        <translation>%1 min da solo</translation>
    </message>
    <message>
        <source>planned</source>
        <translation>pianificato</translation>
    </message>
    <message>
        <source>Nothing is planned for this day. Choose a drill, and count good reps, not reps.</source>
        <translation>Nulla è pianificato per questo giorno. Scegli un esercizio, e conta le ripetizioni buone, non le ripetizioni.</translation>
    </message>
    <message>
        <source>A day on your own</source>
        <translation>Un giorno per conto tuo</translation>
    </message>
    <message>
        <source>Minutes</source>
        <translation>Minuti</translation>
    </message>
    <message>
        <source>Hits, or good ones</source>
        <translation>A segno, o buone</translation>
    </message>
    <message>
        <source>Where, in which light</source>
        <translation>Dove, con quale luce</translation>
    </message>
    <message>
        <source>How fast the feet, 0 to 10</source>
        <translation>Quanto veloci i piedi, da 0 a 10</translation>
    </message>
    <message>
        <source>How calm the hands, 0 to 10</source>
        <translation>Quanto calme le mani, da 0 a 10</translation>
    </message>
    <message>
        <source>What I noticed</source>
        <translation>Che cosa ho notato</translation>
    </message>
    <message>
        <source>What I try next</source>
        <translation>Che cosa provo la prossima volta</translation>
    </message>
    <message>
        <source>%1, on %2. Pain: stop, and see a physician or physiotherapist.</source>
        <translation>%1, il %2. Dolore: fermati, e vai da un medico o da un fisioterapista.</translation>
    </message>
    <message>
        <source>Today</source>
        <translation>Oggi</translation>
    </message>
    <message>
        <source>rest %1 s</source>
        <translation>riposo %1 s</translation>
    </message>
    <message>
        <source>Good</source>
        <translation>Bene</translation>
    </message>
    <message>
        <source>G, arrow up, or a presenter&apos;s forward key</source>
        <translation>G, freccia su, o il tasto avanti di un telecomando</translation>
    </message>
    <message>
        <source>Not yet</source>
        <translation>Non ancora</translation>
    </message>
    <message>
        <source>B, arrow down, or a presenter&apos;s backward key</source>
        <translation>B, freccia giù, o il tasto indietro di un telecomando</translation>
    </message>
    <message>
        <source>Tempo</source>
        <translation>Tempo</translation>
    </message>
    <message>
        <source>“%1”</source>
        <translation>«%1»</translation>
    </message>
    <message>
        <source>%1 · %2</source>
        <translation>%1 · %2</translation>
    </message>
    <message>
        <source>Coach: was it good?</source>
        <translation>Allenatore: era buona?</translation>
    </message>
    <message>
        <source>Athlete: how was it?</source>
        <translation>Atleta: com&apos;era?</translation>
    </message>
    <message>
        <source>first rep</source>
        <translation>prima ripetizione</translation>
    </message>
    <message>
        <source>With the last block: %1</source>
        <translation>Con l&apos;ultimo blocco: %1</translation>
    </message>
    <message>
        <source>Drill</source>
        <translation>Esercizio</translation>
    </message>
    <message>
        <source>Who judges</source>
        <translation>Chi giudica</translation>
    </message>
    <message>
        <source>the coach judges</source>
        <translation>giudica l&apos;allenatore</translation>
    </message>
    <message>
        <source>the athlete judges</source>
        <translation>giudica l&apos;atleta</translation>
    </message>
    <message>
        <source>both, the athlete first</source>
        <translation>entrambi, prima l&apos;atleta</translation>
    </message>
    <message>
        <source>Day of the block</source>
        <translation>Giorno del blocco</translation>
    </message>
    <message>
        <source>New block</source>
        <translation>Nuovo blocco</translation>
    </message>
    <message>
        <source>Rest</source>
        <translation>Riposo</translation>
    </message>
    <message>
        <source>a note on this block</source>
        <translation>una nota su questo blocco</translation>
    </message>
    <message>
        <source>Note</source>
        <translation>Nota</translation>
    </message>
    <message>
        <source>On film …</source>
        <translation>Sul filmato …</translation>
    </message>
    <message>
        <source>Reps of the films in hidden order: the athlete says, the coach says, then the measure shows.</source>
        <translation>Le ripetizioni dei filmati in ordine nascosto: dice l&apos;atleta, dice l&apos;allenatore, poi si vede la misura.</translation>
    </message>
    <message>
        <source>Camera</source>
        <translation>Telecamera</translation>
    </message>
    <message>
        <source>What is heard</source>
        <translation>Che cosa si sente</translation>
    </message>
    <message>
        <source>silent</source>
        <translation>muto</translation>
    </message>
    <message>
        <source>sounds</source>
        <translation>suoni</translation>
    </message>
    <message>
        <source>sounds and cue</source>
        <translation>suoni e richiamo</translation>
    </message>
    <message>
        <source>The cue is spoken when a block begins.</source>
        <translation>Il richiamo è detto a voce quando comincia un blocco.</translation>
    </message>
    <message>
        <source>There is no speech engine on this computer: sounds alone.</source>
        <translation>Su questo computer non c&apos;è una sintesi vocale: solo suoni.</translation>
    </message>
    <message>
        <source>The cue of this block</source>
        <translation>Il richiamo di questo blocco</translation>
    </message>
    <message>
        <source>Said before the block, and counted with it: Progress tells which one works.</source>
        <translation>Detto prima del blocco, e contato con esso: i Progressi dicono quale funziona.</translation>
    </message>
    <message>
        <source>Pattern of the tempo</source>
        <translation>Schema del tempo</translation>
    </message>
    <message>
        <source> a minute</source>
        <translation> al minuto</translation>
    </message>
    <message>
        <source>Beats a minute</source>
        <translation>Battute al minuto</translation>
    </message>
    <message>
        <source>A day on your own …</source>
        <translation>Un giorno per conto tuo …</translation>
    </message>
    <message>
        <source>What you did without a coach, on one page; it counts as practice.</source>
        <translation>Ciò che hai fatto senza allenatore, in una pagina; conta come pratica.</translation>
    </message>
    <message>
        <source>Tempo ●</source>
        <translation>Tempo ●</translation>
    </message>
    <message>
        <source>Tempo ○</source>
        <translation>Tempo ○</translation>
    </message>
    <message>
        <source>There is no sound device: the beat is only shown.</source>
        <translation>Non c&apos;è un dispositivo audio: la battuta si vede soltanto.</translation>
    </message>
    <message>
        <source>End rest</source>
        <translation>Fine riposo</translation>
    </message>
    <message>
        <source>Keys from afar</source>
        <translation>Tasti da lontano</translation>
    </message>
    <message>
        <source>This desktop does not let a program hear keys while another window is in front.</source>
        <translation>Questo desktop non lascia sentire a un programma i tasti mentre davanti c&apos;è un&apos;altra finestra.</translation>
    </message>
    <message>
        <source>Another program has these keys: nothing is heard from afar.</source>
        <translation>Questi tasti li ha un altro programma: da lontano non si sente niente.</translation>
    </message>
    <message>
        <source>Done at home</source>
        <translation>Fatto a casa</translation>
    </message>
    <message>
        <source>Home work</source>
        <translation>Compiti a casa</translation>
    </message>
    <message>
        <source>%1: %2, %3 min</source>
        <translation>%1: %2, %3 min</translation>
    </message>
    <message>
        <source>No home work of the last two weeks is open.</source>
        <translation>Nessun compito a casa delle ultime due settimane è aperto.</translation>
    </message>
    <message>
        <source>Tick what was done: arrows and Space, then Return.</source>
        <translation>Spunta ciò che è stato fatto: frecce e Spazio, poi Invio.</translation>
    </message>
    <message>
        <source>tick home work off</source>
        <translation>spuntare i compiti a casa</translation>
    </message>
    <message>
        <source>Look at the picture</source>
        <translation>Guarda l&apos;immagine</translation>
    </message>
    <message>
        <source>The dose is done: %1 sets of %2</source>
        <translation>La dose è fatta: %1 serie da %2</translation>
    </message>
    <message>
        <source>Set %1 of %2 done: a rest (R)</source>
        <translation>Serie %1 di %2 fatta: una pausa (R)</translation>
    </message>
    <message>
        <source>Set %1 of %2, rep %3 of %4</source>
        <translation>Serie %1 di %2, ripetizione %3 di %4</translation>
    </message>
    <message>
        <source>%1 · %2 of %3 min</source>
        <translation>%1 · %2 di %3 min</translation>
    </message>
    <message>
        <source>Home work …</source>
        <translation>Compiti a casa …</translation>
    </message>
    <message>
        <source>Another drill …</source>
        <translation>Un altro esercizio …</translation>
    </message>
    <message>
        <source>fed from where, or done how</source>
        <translation>servita da dove, o fatta come</translation>
    </message>
    <message>
        <source>How the next rep is fed or done</source>
        <translation>Come è servita o fatta la prossima ripetizione</translation>
    </message>
    <message>
        <source>Counted with each rep: Progress tells which way is the weaker one. (D: the next way)</source>
        <translation>Si conta con ogni ripetizione: i Progressi dicono qual è il modo più debole. (D: il prossimo modo)</translation>
    </message>
    <message>
        <source>In which order it is fed</source>
        <translation>In quale ordine è servita</translation>
    </message>
    <message>
        <source>In turn and mixed: the next way is said here after each rep. What is learnt in a mixed order lasts longer, though it looks worse on the day.</source>
        <translation>A turno e mescolato: il prossimo modo si dice qui dopo ogni ripetizione. Ciò che si impara mescolato dura di più, anche se quel giorno sembra peggio.</translation>
    </message>
    <message>
        <source>%1 %2 of %3</source>
        <translation>%1 %2 su %3</translation>
    </message>
    <message>
        <source>Next: %1</source>
        <translation>Prossima: %1</translation>
    </message>
    <message>
        <source>Next: %1 (so far %2)</source>
        <translation>Prossima: %1 (finora %2)</translation>
    </message>
    <message>
        <source>good</source>
        <translation>buona</translation>
    </message>
    <message>
        <source>not</source>
        <translation>no</translation>
    </message>
    <message>
        <source>why not, after a rep that was not</source>
        <translation>perché no, dopo una ripetizione che non lo era</translation>
    </message>
    <message>
        <source>take the last one back</source>
        <translation>togli l&apos;ultima</translation>
    </message>
    <message>
        <source>the next rep is fed another way</source>
        <translation>la prossima ripetizione parte in un altro modo</translation>
    </message>
    <message>
        <source>new block, rest</source>
        <translation>nuovo blocco, riposo</translation>
    </message>
    <message>
        <source>what was done at home</source>
        <translation>quello che è stato fatto a casa</translation>
    </message>
    <message>
        <source>tempo; a beat more, less</source>
        <translation>tempo; una battuta in più, in meno</translation>
    </message>
    <message>
        <source>camera; the last rep once more; measure it</source>
        <translation>telecamera; l&apos;ultima ripetizione ancora una volta; misurala</translation>
    </message>
    <message>
        <source>the film of the rep before, after</source>
        <translation>il filmato della ripetizione prima, dopo</translation>
    </message>
    <message>
        <source>speak a note, end it</source>
        <translation>nota a voce: inizia, finisci</translation>
    </message>
    <message>
        <source>a presenter&apos;s keys while another window is in front</source>
        <translation>i tasti di un telecomando mentre davanti c&apos;è un&apos;altra finestra</translation>
    </message>
    <message>
        <source>Start counting afresh. The block so far is saved already.</source>
        <translation>Ricomincia a contare. Il blocco fin qui è già salvato.</translation>
    </message>
    <message>
        <source>A minute&apos;s pause.</source>
        <translation>Un minuto di pausa.</translation>
    </message>
    <message>
        <source>Each rep is filmed, shown once more, and kept with its verdict. A dot brings its rep back.</source>
        <translation>Ogni ripetizione è filmata, mostrata ancora una volta e tenuta con il suo giudizio. Un punto la riporta.</translation>
    </message>
    <message>
        <source>Clicks, and a blink of this button. Plus and minus: a beat more, less.</source>
        <translation>Clic, e un lampeggio di questo pulsante. Più e meno: una battuta in più, in meno.</translation>
    </message>
    <message>
        <source>A presenter&apos;s keys count also while another window is in front: page down is good, page up not yet. No other program gets them meanwhile.</source>
        <translation>I tasti di un telecomando da presentazione contano anche mentre davanti c&apos;è un&apos;altra finestra: pagina giù è buona, pagina su non ancora. Intanto nessun altro programma li riceve.</translation>
    </message>
    <message>
        <source>What was done at home, from the ticks on its sheet: all of it at once.</source>
        <translation>Ciò che è stato fatto a casa, dalle spunte sul foglio: tutto in una volta.</translation>
    </message>
    <message>
        <source>Last time, %1: %2</source>
        <translation>L&apos;ultima volta, %1: %2</translation>
    </message>
    <message>
        <source>Diary …</source>
        <translation>Diario …</translation>
    </message>
    <message>
        <source>What was practised, day by day, with what was noticed.</source>
        <translation>Che cosa si è praticato, giorno per giorno, con ciò che si è notato.</translation>
    </message>
    <message>
        <source>the diary</source>
        <translation>il diario</translation>
    </message>
    <message>
        <source>%1 · %2 · %3</source>
        <translation>%1 · %2 · %3</translation>
    </message>
</context>
<context>
    <name>riflesso::ProgrammePage</name>
    <message>
        <source>How often</source>
        <translation>Quanto spesso</translation>
    </message>
    <message>
        <source>How far ahead</source>
        <translation>Quanto in avanti</translation>
    </message>
    <message>
        <source>%1 weeks</source>
        <translation>%1 settimane</translation>
    </message>
    <message>
        <source>Keep this plan</source>
        <translation>Tieni questo piano</translation>
    </message>
    <message>
        <source>Lay it anew</source>
        <translation>Rifallo</translation>
    </message>
    <message>
        <source>What is locked, moved or done stays; the rest may change, as little as possible.</source>
        <translation>Ciò che è bloccato, spostato o fatto resta; il resto può cambiare, il meno possibile.</translation>
    </message>
    <message>
        <source>Calendar</source>
        <translation>Calendario</translation>
    </message>
    <message>
        <source>Busy hours and competitions from a file …</source>
        <translation>Ore occupate e gare da un file …</translation>
    </message>
    <message>
        <source>A calendar</source>
        <translation>Un calendario</translation>
    </message>
    <message>
        <source>Calendars (*.ics)</source>
        <translation>Calendari (*.ics)</translation>
    </message>
    <message>
        <source>Competitions</source>
        <translation>Gare</translation>
    </message>
    <message>
        <source>Events with these words in their names are competitions:</source>
        <translation>Sono gare gli eventi con queste parole nel nome:</translation>
    </message>
    <message>
        <source>competition</source>
        <translation>gara</translation>
    </message>
    <message>
        <source>Write the plan as a calendar …</source>
        <translation>Scrivi il piano come calendario …</translation>
    </message>
    <message>
        <source>The plan</source>
        <translation>Il piano</translation>
    </message>
    <message>
        <source>plan.ics</source>
        <translation>piano.ics</translation>
    </message>
    <message>
        <source>The plan is in %1.</source>
        <translation>Il piano è in %1.</translation>
    </message>
    <message>
        <source>Own drill …</source>
        <translation>Esercizio tuo …</translation>
    </message>
    <message>
        <source>A drill of yours, for every case of this technique in this library.</source>
        <translation>Un esercizio tuo, per ogni caso di questa tecnica in questa libreria.</translation>
    </message>
    <message>
        <source>Accept it anyway</source>
        <translation>Accettalo comunque</translation>
    </message>
    <message>
        <source>change how often</source>
        <translation>cambiare quanto spesso</translation>
    </message>
    <message>
        <source>lay the plan anew</source>
        <translation>rifare il piano</translation>
    </message>
    <message>
        <source>move a block</source>
        <translation>spostare un blocco</translation>
    </message>
    <message>
        <source>change a block&apos;s minutes</source>
        <translation>cambiare i minuti di un blocco</translation>
    </message>
    <message>
        <source>lock a block</source>
        <translation>bloccare un blocco</translation>
    </message>
    <message>
        <source>unlock a block</source>
        <translation>sbloccare un blocco</translation>
    </message>
    <message>
        <source>tick a block off</source>
        <translation>spuntare un blocco</translation>
    </message>
    <message>
        <source>untick a block</source>
        <translation>togliere la spunta a un blocco</translation>
    </message>
    <message>
        <source>take a block away</source>
        <translation>togliere un blocco</translation>
    </message>
    <message>
        <source>keep the plan</source>
        <translation>tenere il piano</translation>
    </message>
    <message>
        <source>lay a drill on a day</source>
        <translation>mettere un esercizio su un giorno</translation>
    </message>
    <message>
        <source>Not done after all	D</source>
        <translation>Non fatto, dopotutto	D</translation>
    </message>
    <message>
        <source>Done	D</source>
        <translation>Fatto	D</translation>
    </message>
    <message>
        <source>Unlock	L</source>
        <translation>Sblocca	L</translation>
    </message>
    <message>
        <source>Lock	L</source>
        <translation>Blocca	L</translation>
    </message>
    <message>
        <source>Take away	Del</source>
        <translation>Togli	Canc</translation>
    </message>
    <message>
        <source>Instead</source>
        <translation>Invece</translation>
    </message>
    <message>
        <source>replace a block</source>
        <translation>sostituire un blocco</translation>
    </message>
    <message>
        <source>overrule a rule</source>
        <translation>imporsi su una regola</translation>
    </message>
    <message>
        <source>%1: nothing is broken by that.</source>
        <translation>%1: con questo non si rompe nulla.</translation>
    </message>
    <message>
        <source>This would break: %1</source>
        <translation>Questo romperebbe: %1</translation>
    </message>
    <message>
        <source>focus</source>
        <translation>focus</translation>
    </message>
    <message>
        <source>focuses</source>
        <translation>focus</translation>
    </message>
    <message>
        <source>%1 minutes in %2 weeks</source>
        <translation>%1 minuti in %2 settimane</translation>
    </message>
    <message>
        <source>%1 % of the last four weeks done</source>
        <translation>fatto il %1 % delle ultime quattro settimane</translation>
    </message>
    <message>
        <source>a proposal</source>
        <translation>una proposta</translation>
    </message>
    <message>
        <source>more clash</source>
        <translation>altro conflitto</translation>
    </message>
    <message>
        <source>more clashes</source>
        <translation>altri conflitti</translation>
    </message>
    <message>
        <source>Laying a proposal …</source>
        <translation>Preparo una proposta …</translation>
    </message>
    <message>
        <source>Nothing is broken. Drag a block to another day; dashed blocks are a forecast, if the gate agrees.</source>
        <translation>Nulla si rompe. Trascina un blocco su un altro giorno; i blocchi tratteggiati sono una previsione, se la soglia consente.</translation>
    </message>
    <message>
        <source>A proposal for these days. Keep it, or drag a block: the first touch keeps it.</source>
        <translation>Una proposta per questi giorni. Tienila, o trascina un blocco: il primo tocco la tiene.</translation>
    </message>
    <message>
        <source>, %1</source>
        <translation>, %1</translation>
    </message>
    <message>
        <source>overruled knowingly: %1</source>
        <translation>imposto consapevolmente: %1</translation>
    </message>
    <message>
        <source>%1 taken over.</source>
        <translation>%1 ripresi.</translation>
    </message>
    <message>
        <source>event</source>
        <translation>evento</translation>
    </message>
    <message>
        <source>events</source>
        <translation>eventi</translation>
    </message>
    <message>
        <source>%1 on %2</source>
        <translation>%1, %2</translation>
    </message>
    <message>
        <source>Why …</source>
        <translation>Perché …</translation>
    </message>
    <message>
        <source>Why</source>
        <translation>Perché</translation>
    </message>
    <message>
        <source>Why is this block as it is?</source>
        <translation>Perché questo blocco è così?</translation>
    </message>
    <message>
        <source>say why</source>
        <translation>dire perché</translation>
    </message>
    <message>
        <source>block before, after</source>
        <translation>blocco prima, dopo</translation>
    </message>
    <message>
        <source>Alt+arrows</source>
        <translation>Alt+frecce</translation>
    </message>
    <message>
        <source>move the block by a day, a week</source>
        <translation>sposta il blocco di un giorno, di una settimana</translation>
    </message>
    <message>
        <source>a minute more, less</source>
        <translation>un minuto in più, in meno</translation>
    </message>
    <message>
        <source>lock, done, take away</source>
        <translation>blocca, fatto, togli</translation>
    </message>
</context>
<context>
    <name>riflesso::ProgressPage</name>
    <message>
        <source>What went with it</source>
        <translation>Che cosa è andato con esso</translation>
    </message>
    <message>
        <source>Did it move?</source>
        <translation>Si è mosso?</translation>
    </message>
    <message>
        <source>Where does it break?</source>
        <translation>Dove si rompe?</translation>
    </message>
    <message>
        <source>At which speed?</source>
        <translation>A quale velocità?</translation>
    </message>
    <message>
        <source>Does feeling meet film?</source>
        <translation>Sentito e filmato?</translation>
    </message>
    <message>
        <source>Which cue works?</source>
        <translation>Quale richiamo?</translation>
    </message>
    <message>
        <source>Was it practised?</source>
        <translation>È stato praticato?</translation>
    </message>
    <message>
        <source>Findings give the focus first; each later film adds a point here.</source>
        <translation>I rilievi danno prima il focus; ogni filmato successivo aggiunge qui un punto.</translation>
    </message>
    <message>
        <source>%1: not put to the test yet</source>
        <translation>%1: non ancora messo alla prova</translation>
    </message>
    <message>
        <source>%1 went too</source>
        <translation>%1 è andato anch&apos;esso</translation>
    </message>
    <message>
        <source>%1 stayed: a fault of its own</source>
        <translation>%1 è rimasto: un difetto a sé</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>&lt;b&gt;%1&lt;/b&gt;: %2</source>
        <translation>&lt;b&gt;%1&lt;/b&gt;: %2</translation>
    </message>
    <message>
        <source>Nothing yet: film again under the same stress.</source>
        <translation>Ancora nulla: filma di nuovo sotto la stessa pressione.</translation>
    </message>
    <message>
        <source>What reps are held against</source>
        <translation>Contro che cosa si tengono le ripetizioni</translation>
    </message>
    <message>
        <source>speed as measured</source>
        <translation>velocità misurata</translation>
    </message>
    <message>
        <source>effort as stated</source>
        <translation>sforzo detto</translation>
    </message>
    <message>
        <source>Measure</source>
        <translation>Misura</translation>
    </message>
    <message>
        <source>%1 went %2 of %3 times</source>
        <translation>%1 è andato %2 volte su %3</translation>
    </message>
</context>
<context>
    <name>riflesso::RepDots</name>
    <message>
        <source>good</source>
        <translation>buona</translation>
    </message>
    <message>
        <source>not yet</source>
        <translation>non ancora</translation>
    </message>
    <message>
        <source>The last reps: %1</source>
        <translation>Le ultime ripetizioni: %1</translation>
    </message>
    <message>
        <source>none yet</source>
        <translation>ancora nessuna</translation>
    </message>
</context>
<context>
    <name>riflesso::RepScreen</name>
    <message>
        <source>Camera beside practice</source>
        <translation>Telecamera accanto alla pratica</translation>
    </message>
    <message>
        <source>Starting …</source>
        <translation>Avvio …</translation>
    </message>
    <message>
        <source>Each rep is cut out when the stillness after it has lasted, and shown once more. It stays on this computer. Ask before filming; a minor&apos;s guardian too.</source>
        <translation>Ogni ripetizione è tagliata quando la quiete che segue è durata abbastanza, e mostrata ancora una volta. Resta su questo computer. Chiedi prima di filmare; per un minorenne anche a un genitore.</translation>
    </message>
    <message>
        <source>The camera is off.</source>
        <translation>La telecamera è spenta.</translation>
    </message>
    <message>
        <source>Rep %1 kept. Films of reps: %2 of %3 MB; the oldest go first. L: once more.</source>
        <translation>Ripetizione %1 tenuta. Filmati di ripetizioni: %2 MB su %3; i più vecchi vanno per primi. L: ancora una volta.</translation>
    </message>
    <message>
        <source>This rep could not be kept: %1</source>
        <translation>Questa ripetizione non si è potuta tenere: %1</translation>
    </message>
    <message>
        <source>Rep %1, once more</source>
        <translation>Ripetizione %1, ancora una volta</translation>
    </message>
    <message>
        <source>The last rep, once more</source>
        <translation>L&apos;ultima ripetizione, ancora una volta</translation>
    </message>
    <message>
        <source>That rep</source>
        <translation>Quella ripetizione</translation>
    </message>
    <message>
        <source>The film of this rep is not there any more: old ones make room for new ones.</source>
        <translation>Il filmato di questa ripetizione non c&apos;è più: i vecchi fanno posto ai nuovi.</translation>
    </message>
    <message>
        <source>Now</source>
        <translation>Adesso</translation>
    </message>
    <message>
        <source>Measure it (M)</source>
        <translation>Misurala (M)</translation>
    </message>
    <message>
        <source>Reads the focus measure from the film of the last rep: a draft, beside your own verdict.</source>
        <translation>Legge la misura del focus dal filmato dell&apos;ultima ripetizione: una bozza, accanto al tuo giudizio.</translation>
    </message>
    <message>
        <source>Reading “%1” from the last rep …</source>
        <translation>Leggo «%1» dall&apos;ultima ripetizione …</translation>
    </message>
    <message>
        <source>This rep could not be measured: %1</source>
        <translation>Questa ripetizione non si è potuta misurare: %1</translation>
    </message>
    <message>
        <source>%1: %2, %3. A draft: it counts for nothing, your verdict does.</source>
        <translation>%1: %2, %3. Una bozza: non conta, conta il tuo giudizio.</translation>
    </message>
    <message>
        <source>How a rep is cut</source>
        <translation>Come si taglia una ripetizione</translation>
    </message>
    <message>
        <source>by movement</source>
        <translation>dal movimento</translation>
    </message>
    <message>
        <source>by sound</source>
        <translation>dal suono</translation>
    </message>
    <message>
        <source>What moves between two rests is a rep.</source>
        <translation>Ciò che si muove fra due pause è una ripetizione.</translation>
    </message>
    <message>
        <source>A strike that is heard (a ball, a foot, a clap) makes a rep: two seconds before it, one after.</source>
        <translation>Un colpo che si sente (una palla, un piede, un battito di mani) fa una ripetizione: due secondi prima, uno dopo.</translation>
    </message>
</context>
<context>
    <name>riflesso::RepStrip</name>
    <message>
        <source>Reps of the take</source>
        <translation>Ripetizioni della ripresa</translation>
    </message>
    <message>
        <source>Solid: reps. Hollow: proposals. Click to go there, drag an end to move it. F1 lists the keys.</source>
        <translation>Piene: ripetizioni. Vuote: proposte. Clicca per andarci, trascina un estremo per spostarlo. F1 apre la guida.</translation>
    </message>
    <message>
        <source>move the ends of rep %1</source>
        <translation>spostare gli estremi della ripetizione %1</translation>
    </message>
    <message>
        <source>%1 s</source>
        <translation>%1 s</translation>
    </message>
    <message>
        <source>No reps in this take yet: “Reps” proposes where they are.</source>
        <translation>Ancora nessuna ripetizione in questa ripresa: «Ripetizioni» propone dove sono.</translation>
    </message>
</context>
<context>
    <name>riflesso::RepeatPanel</name>
    <message>
        <source>Who marks</source>
        <translation>Chi marca</translation>
    </message>
    <message>
        <source>Mark 10 frames again</source>
        <translation>Marca di nuovo 10 fotogrammi</translation>
    </message>
    <message>
        <source>Marked frames come once more, hidden among others, without their marks. It can be stopped and gone on with on another day.</source>
        <translation>I fotogrammi marcati tornano ancora una volta, nascosti fra altri, senza i loro segni. Si può fermare e riprendere un altro giorno.</translation>
    </message>
    <message>
        <source>Stop for now</source>
        <translation>Per ora basta</translation>
    </message>
    <message>
        <source>These marks</source>
        <translation>Questi segni</translation>
    </message>
    <message>
        <source>against these</source>
        <translation>contro questi</translation>
    </message>
    <message>
        <source>Agreement of each measure</source>
        <translation>Concordanza di ogni misura</translation>
    </message>
    <message>
        <source>Measure</source>
        <translation>Misura</translation>
    </message>
    <message>
        <source>SEM</source>
        <translation>SEM</translation>
    </message>
    <message>
        <source>MDC95</source>
        <translation>MDC95</translation>
    </message>
    <message>
        <source>ICC(2,1)</source>
        <translation>ICC(2,1)</translation>
    </message>
    <message>
        <source>and</source>
        <translation>e</translation>
    </message>
    <message>
        <source>the first marks</source>
        <translation>i primi segni</translation>
    </message>
    <message>
        <source>again</source>
        <translation>di nuovo</translation>
    </message>
    <message>
        <source>Go on marking again</source>
        <translation>Continua a marcare di nuovo</translation>
    </message>
    <message>
        <source>Frame %1 of %2. The first marks are not shown: mark what you see.</source>
        <translation>Fotogramma %1 di %2. I primi segni non si mostrano: marca ciò che vedi.</translation>
    </message>
    <message>
        <source>How far two markings of the same frames agree:</source>
        <translation>Quanto concordano due marcature degli stessi fotogrammi:</translation>
    </message>
    <message>
        <source>How good are your marks? Mark some frames again and see.</source>
        <translation>Quanto sono buoni i tuoi segni? Marca di nuovo alcuni fotogrammi e vedi.</translation>
    </message>
    <message>
        <source>A mark is good to %1 px (%2 marks)%3. %4</source>
        <translation>Un segno è buono a %1 px (%2 segni)%3. %4</translation>
    </message>
    <message>
        <source>; the %1 is worst, %2 px</source>
        <translation>; il peggiore è %1, %2 px</translation>
    </message>
    <message>
        <source>This replaces the assumed %1 px everywhere.</source>
        <translation>Questo sostituisce ovunque gli %1 px supposti.</translation>
    </message>
    <message>
        <source>These two have no frame in common yet.</source>
        <translation>Questi due non hanno ancora un fotogramma in comune.</translation>
    </message>
    <message>
        <source>standard error of a reading, %1</source>
        <translation>errore standard di una lettura, %1</translation>
    </message>
    <message>
        <source>the smallest change worth believing, %1</source>
        <translation>il più piccolo cambiamento credibile, %1</translation>
    </message>
    <message>
        <source>–</source>
        <translation>–</translation>
    </message>
    <message>
        <source>Too few frames for a correlation: %1</source>
        <translation>Troppo pochi fotogrammi per una correlazione: %1</translation>
    </message>
    <message>
        <source>ICC(2,1) %1, 95 % from %2 to %3; ICC(3,1) %4, from %5 to %6; %7 frames</source>
        <translation>ICC(2,1) %1, 95 % da %2 a %3; ICC(3,1) %4, da %5 a %6; %7 fotogrammi</translation>
    </message>
    <message>
        <source>nobody in particular</source>
        <translation>nessuno in particolare</translation>
    </message>
    <message>
        <source>The first marks are by</source>
        <translation>I primi segni sono di</translation>
    </message>
    <message>
        <source>Where two people mark, their numbers are compared only when it is known how much more one reads than the other: from frames that both have marked.</source>
        <translation>Dove marcano in due, i numeri si confrontano solo quando si sa quanto uno legge più dell&apos;altro: da fotogrammi marcati da entrambi.</translation>
    </message>
    <message>
        <source>say who marked</source>
        <translation>di&apos; chi ha marcato</translation>
    </message>
    <message>
        <source>Take away</source>
        <translation>Da portare a casa</translation>
    </message>
    <message>
        <source>The marking named on the left goes, and what was learnt from it; Undo brings it back.</source>
        <translation>La marcatura nominata a sinistra se ne va, con ciò che se n&apos;è imparato; Annulla la riporta.</translation>
    </message>
</context>
<context>
    <name>riflesso::RepsPanel</name>
    <message>
        <source>Find the reps by</source>
        <translation>Trova le ripetizioni con</translation>
    </message>
    <message>
        <source>movement</source>
        <translation>movimento</translation>
    </message>
    <message>
        <source>sound</source>
        <translation>suono</translation>
    </message>
    <message>
        <source>rhythm</source>
        <translation>ritmo</translation>
    </message>
    <message>
        <source>Reps with stillness between them.</source>
        <translation>Ripetizioni con quiete in mezzo.</translation>
    </message>
    <message>
        <source>Each strike that is heard.</source>
        <translation>Ogni colpo che si sente.</translation>
    </message>
    <message>
        <source>Cycles that follow one another: strokes, strides.</source>
        <translation>Cicli che si susseguono: palate, passi.</translation>
    </message>
    <message>
        <source>Accept this one (A)</source>
        <translation>Accetta questa (A)</translation>
    </message>
    <message>
        <source>Accept all (Shift+A)</source>
        <translation>Accetta tutte (Maiusc+A)</translation>
    </message>
    <message>
        <source>S splits at the playhead, M merges with the next, [ and ] put an end here, Delete takes away, Page keys go from one to the next. Drag over reps with Shift to make a set.</source>
        <translation>S divide al cursore, M unisce alla successiva, [ e ] pongono qui un estremo, Canc toglie, i tasti Pagina vanno dall&apos;una all&apos;altra. Trascina sulle ripetizioni con Maiusc per farne una serie.</translation>
    </message>
    <message>
        <source>what had to be answered</source>
        <translation>a che cosa si doveva rispondere</translation>
    </message>
    <message>
        <source>the technique chosen</source>
        <translation>la tecnica scelta</translation>
    </message>
    <message>
        <source>What it scored, or how far it went, as a figure</source>
        <translation>Che punteggio ha fatto, o quanto è andata lontano, come cifra</translation>
    </message>
    <message>
        <source>Score</source>
        <translation>Punteggio</translation>
    </message>
    <message>
        <source>not said</source>
        <translation>non detto</translation>
    </message>
    <message>
        <source>it worked</source>
        <translation>ha funzionato</translation>
    </message>
    <message>
        <source>it did not</source>
        <translation>non ha funzionato</translation>
    </message>
    <message>
        <source>as the take</source>
        <translation>come la ripresa</translation>
    </message>
    <message>
        <source>Situation</source>
        <translation>Situazione</translation>
    </message>
    <message>
        <source>Choice</source>
        <translation>Scelta</translation>
    </message>
    <message>
        <source>Effect</source>
        <translation>Effetto</translation>
    </message>
    <message>
        <source>Stress</source>
        <translation>Pressione</translation>
    </message>
    <message>
        <source>of its day and stage</source>
        <translation>del suo giorno e livello</translation>
    </message>
    <message>
        <source>Reps that are judged together: before, after the hint, points</source>
        <translation>Ripetizioni giudicate insieme: prima, dopo l&apos;indicazione, punti</translation>
    </message>
    <message>
        <source>and all after it</source>
        <translation>e tutte quelle dopo</translation>
    </message>
    <message>
        <source>Puts the reps after this one into the same set.</source>
        <translation>Mette nella stessa serie le ripetizioni dopo questa.</translation>
    </message>
    <message>
        <source>Set</source>
        <translation>Serie</translation>
    </message>
    <message>
        <source>where it landed</source>
        <translation>dove è arrivata</translation>
    </message>
    <message>
        <source>Go to the frame on which it comes down and click the place. Calibrate the take for centimetres.</source>
        <translation>Vai al fotogramma su cui arriva a terra e clicca il punto. Calibra la ripresa per avere centimetri.</translation>
    </message>
    <message>
        <source>zone</source>
        <translation>zona</translation>
    </message>
    <message>
        <source>Where the reps of this take should land: its middle, then a point of its edge.</source>
        <translation>Dove dovrebbero arrivare le ripetizioni di questa ripresa: il mezzo, poi un punto del bordo.</translation>
    </message>
    <message>
        <source>Click</source>
        <translation>Clicca</translation>
    </message>
    <message>
        <source>say where a rep landed</source>
        <translation>dire dove è arrivata una ripetizione</translation>
    </message>
    <message>
        <source>draw the zone</source>
        <translation>tracciare la zona</translation>
    </message>
    <message>
        <source>say the situation</source>
        <translation>dire la situazione</translation>
    </message>
    <message>
        <source>say the choice</source>
        <translation>dire la scelta</translation>
    </message>
    <message>
        <source>put a rep into a set</source>
        <translation>mettere una ripetizione in una serie</translation>
    </message>
    <message>
        <source>note the score</source>
        <translation>annotare il punteggio</translation>
    </message>
    <message>
        <source>say whether it worked</source>
        <translation>dire se ha funzionato</translation>
    </message>
    <message>
        <source>set the stress of a rep</source>
        <translation>fissare la pressione di una ripetizione</translation>
    </message>
    <message>
        <source>before</source>
        <translation>prima</translation>
    </message>
    <message>
        <source>after the hint</source>
        <translation>dopo l&apos;indicazione</translation>
    </message>
    <message>
        <source>points</source>
        <translation>punti</translation>
    </message>
    <message>
        <source>A set</source>
        <translation>Una serie</translation>
    </message>
    <message>
        <source>%1 belong together as:</source>
        <translation>%1 stanno insieme come:</translation>
    </message>
    <message>
        <source>rep</source>
        <translation>ripetizione</translation>
    </message>
    <message>
        <source>reps</source>
        <translation>ripetizioni</translation>
    </message>
    <message>
        <source>%1 proposed, %2 accepted.</source>
        <translation>%1 proposte, %2 accettate.</translation>
    </message>
    <message>
        <source>%1 in this take.</source>
        <translation>%1 in questa ripresa.</translation>
    </message>
    <message>
        <source>Rep %1</source>
        <translation>Ripetizione %1</translation>
    </message>
    <message>
        <source>score</source>
        <translation>punteggio</translation>
    </message>
    <message>
        <source>Stated effort</source>
        <translation>Sforzo detto</translation>
    </message>
    <message>
        <source>How hard it was done, as the athlete says: Progress holds the measures against it.</source>
        <translation>Con quanto sforzo è stata fatta, come dice l&apos;atleta: i Progressi vi confrontano le misure.</translation>
    </message>
    <message>
        <source>%1 % of the utmost</source>
        <translation>%1 % del massimo</translation>
    </message>
    <message>
        <source>Effort</source>
        <translation>Sforzo</translation>
    </message>
    <message>
        <source>note the effort</source>
        <translation>annotare lo sforzo</translation>
    </message>
</context>
<context>
    <name>riflesso::ResidualView</name>
    <message>
        <source>Residual analysis</source>
        <translation>Analisi dei residui</translation>
    </message>
    <message>
        <source>What is left over when smoothed at each cut-off. The straight part is noise; where the curve meets its level, as much movement is lost as noise is kept out (Winter, ch. 3).</source>
        <translation>Ciò che resta quando si liscia a ciascun taglio. La parte dritta è rumore; dove la curva incontra il suo livello, si perde tanto movimento quanto rumore si tiene fuori (Winter, cap. 3).</translation>
    </message>
    <message>
        <source>Too few marks in a row for a residual analysis.</source>
        <translation>Troppo pochi segni di fila per un&apos;analisi dei residui.</translation>
    </message>
    <message>
        <source>left over, px</source>
        <translation>resto, px</translation>
    </message>
    <message>
        <source>%1 Hz</source>
        <translation>%1 Hz</translation>
    </message>
    <message>
        <source>%1 Hz used</source>
        <translation>usati %1 Hz</translation>
    </message>
</context>
<context>
    <name>riflesso::ReviewPanel</name>
    <message>
        <source>Scenes, in the order in which they are shown</source>
        <translation>Scene, nell&apos;ordine in cui si mostrano</translation>
    </message>
    <message>
        <source>Earlier</source>
        <translation>Prima</translation>
    </message>
    <message>
        <source>Later</source>
        <translation>Dopo</translation>
    </message>
    <message>
        <source>Leave out</source>
        <translation>Lascia fuori</translation>
    </message>
    <message>
        <source>Add the frame looked at</source>
        <translation>Aggiungi il fotogramma guardato</translation>
    </message>
    <message>
        <source>Make anew</source>
        <translation>Rifai</translation>
    </message>
    <message>
        <source>Scenes from the findings as they are today. What was recorded goes.</source>
        <translation>Scene dai rilievi come sono oggi. Ciò che è stato registrato va perso.</translation>
    </message>
    <message>
        <source>Pause</source>
        <translation>Pausa</translation>
    </message>
    <message>
        <source>Take back</source>
        <translation>Togli</translation>
    </message>
    <message>
        <source>The line under the picture</source>
        <translation>La riga sotto l&apos;immagine</translation>
    </message>
    <message>
        <source>Caption</source>
        <translation>Sottotitolo</translation>
    </message>
    <message>
        <source>What you say, for who cannot hear it (else the line above)</source>
        <translation>Ciò che dici, per chi non può sentirlo (altrimenti la riga sopra)</translation>
    </message>
    <message>
        <source>Microphone</source>
        <translation>Microfono</translation>
    </message>
    <message>
        <source>How loud it is</source>
        <translation>Quanto è forte</translation>
    </message>
    <message>
        <source>, spoken</source>
        <translation>, parlata</translation>
    </message>
    <message>
        <source>%1, frame %2</source>
        <translation>%1, fotogramma %2</translation>
    </message>
    <message>
        <source>Done, next scene</source>
        <translation>Fatto, scena successiva</translation>
    </message>
    <message>
        <source>Record again</source>
        <translation>Registra di nuovo</translation>
    </message>
    <message>
        <source>Record</source>
        <translation>Registra</translation>
    </message>
    <message>
        <source>Go on</source>
        <translation>Continua</translation>
    </message>
    <message>
        <source>Stop</source>
        <translation>Ferma</translation>
    </message>
    <message>
        <source>Play</source>
        <translation>Riproduci</translation>
    </message>
    <message>
        <source>A breath at %1 s.</source>
        <translation>Un respiro a %1 s.</translation>
    </message>
    <message>
        <source>Recording, %1 s. Move over the picture for a light, hold the button to draw.</source>
        <translation>Registro, %1 s. Muoviti sull&apos;immagine per una luce, tieni il pulsante per disegnare.</translation>
    </message>
    <message>
        <source>No scene yet: findings make them, or add a frame of your own.</source>
        <translation>Ancora nessuna scena: le fanno i rilievi, o aggiungi un fotogramma tuo.</translation>
    </message>
    <message>
        <source>Spoken over. The film carries your voice and pointer.</source>
        <translation>Commentata. Il filmato porta la tua voce e il puntatore.</translation>
    </message>
    <message>
        <source>Shown for %1 s when nobody speaks.</source>
        <translation>Mostrata per %1 s quando nessuno parla.</translation>
    </message>
    <message>
        <source>earlier, later</source>
        <translation>prima, dopo</translation>
    </message>
    <message>
        <source>add the frame looked at, leave a scene out</source>
        <translation>aggiungi il fotogramma guardato, lascia fuori una scena</translation>
    </message>
    <message>
        <source>One place earlier</source>
        <translation>Un posto prima</translation>
    </message>
    <message>
        <source>One place later</source>
        <translation>Un posto dopo</translation>
    </message>
    <message>
        <source>The frame that you look at in Mirror or Marking, with what is below it</source>
        <translation>Il fotogramma che guardi nello Specchio o nella Marcatura, con ciò che vi sta sotto</translation>
    </message>
    <message>
        <source>Takes this scene away</source>
        <translation>Toglie questa scena</translation>
    </message>
    <message>
        <source>record and go on to the next scene; pause</source>
        <translation>registra e passa alla scena dopo; pausa</translation>
    </message>
    <message>
        <source>Speak over the scene, point, and draw with the button held</source>
        <translation>Parla sulla scena, indica, e disegna tenendo il pulsante</translation>
    </message>
    <message>
        <source>A breath</source>
        <translation>Una pausa</translation>
    </message>
    <message>
        <source>This scene, with what was said and pointed at</source>
        <translation>Questa scena, con ciò che è stato detto e indicato</translation>
    </message>
    <message>
        <source>play, stop</source>
        <translation>riproduci, ferma</translation>
    </message>
    <message>
        <source>Forgets what was recorded over this scene</source>
        <translation>Dimentica ciò che è stato registrato su questa scena</translation>
    </message>
    <message>
        <source>forget what was recorded</source>
        <translation>dimentica ciò che è stato registrato</translation>
    </message>
</context>
<context>
    <name>riflesso::Ribbon</name>
    <message>
        <source>Time ribbon of the rep</source>
        <translation>Nastro del tempo della ripetizione</translation>
    </message>
    <message>
        <source>Click to go to a moment. The wheel steps one frame.</source>
        <translation>Clicca per andare a un momento. La rotella avanza di un fotogramma.</translation>
    </message>
    <message>
        <source>%1 s</source>
        <translation>%1 s</translation>
    </message>
    <message>
        <source>time unknown: no capture rate</source>
        <translation>tempo ignoto: nessuna frequenza di ripresa</translation>
    </message>
    <message>
        <source>   decides down to ± %1 ms</source>
        <translation>   decide fino a ± %1 ms</translation>
    </message>
    <message>
        <source>frame %1   %2%3</source>
        <translation>fotogramma %1   %2%3</translation>
    </message>
    <message>
        <source>no key positions yet</source>
        <translation>ancora nessuna posizione chiave</translation>
    </message>
</context>
<context>
    <name>riflesso::RightAndWrong</name>
    <message>
        <source>Right and wrong, from the films of this case</source>
        <translation>Giusto e sbagliato, dai filmati di questo caso</translation>
    </message>
    <message>
        <source>no picture yet</source>
        <translation>ancora nessuna immagine</translation>
    </message>
    <message>
        <source>right</source>
        <translation>giusto</translation>
    </message>
    <message>
        <source>wrong</source>
        <translation>sbagliato</translation>
    </message>
    <message>
        <source>right, simulated</source>
        <translation>giusto, simulato</translation>
    </message>
    <message>
        <source>wrong, simulated</source>
        <translation>sbagliato, simulato</translation>
    </message>
</context>
<context>
    <name>riflesso::SceneStage</name>
    <message>
        <source>The scene as the athlete will see it</source>
        <translation>La scena come la vedrà l&apos;atleta</translation>
    </message>
</context>
<context>
    <name>riflesso::SetTable</name>
    <message>
        <source>Measures by set</source>
        <translation>Misure per serie</translation>
    </message>
    <message>
        <source>Choices by situation</source>
        <translation>Scelte per situazione</translation>
    </message>
    <message>
        <source>Situations and choices</source>
        <translation>Situazioni e scelte</translation>
    </message>
    <message>
        <source>No set is measured yet.</source>
        <translation>Ancora nessuna serie è misurata.</translation>
    </message>
    <message>
        <source>Measure</source>
        <translation>Misura</translation>
    </message>
    <message>
        <source>%1
%2, %3</source>
        <translation>%1
%2, %3</translation>
    </message>
    <message>
        <source>rep</source>
        <translation>ripetizione</translation>
    </message>
    <message>
        <source>reps</source>
        <translation>ripetizioni</translation>
    </message>
    <message>
        <source>Change</source>
        <translation>Cambiamento</translation>
    </message>
    <message>
        <source>not read</source>
        <translation>non letto</translation>
    </message>
    <message>
        <source>   %1 of %2 in</source>
        <translation>   %1 di %2 dentro</translation>
    </message>
    <message>
        <source>Inside %1: between %2 % and %3 % of such reps, 95 %.</source>
        <translation>Dentro %1: fra %2 % e %3 % di queste ripetizioni, 95 %.</translation>
    </message>
    <message>
        <source>%1, not sure</source>
        <translation>%1, non sicuro</translation>
    </message>
    <message>
        <source>Smallest change worth believing here: %1.</source>
        <translation>Il più piccolo cambiamento credibile qui: %1.</translation>
    </message>
    <message>
        <source>%1 moved by %2</source>
        <translation>%1 si è mosso di %2</translation>
    </message>
    <message>
        <source>One set so far. Give reps a set in Footage, or film another day, and they stand side by side here.</source>
        <translation>Finora una sola serie. Assegna le ripetizioni a una serie in Filmati, o filma un altro giorno, e qui stanno fianco a fianco.</translation>
    </message>
    <message>
        <source>From “%1” to “%2”: nothing can be told from so few reps.</source>
        <translation>Da «%1» a «%2»: da così poche ripetizioni non si può dire nulla.</translation>
    </message>
    <message>
        <source>From “%1” to “%2”: %3. Of the rest nothing can be told.</source>
        <translation>Da «%1» a «%2»: %3. Del resto non si può dire nulla.</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>Where does it break?  </source>
        <translation>Dove si rompe?  </translation>
    </message>
    <message>
        <source>Situation</source>
        <translation>Situazione</translation>
    </message>
    <message>
        <source>Choice</source>
        <translation>Scelta</translation>
    </message>
    <message>
        <source>How often</source>
        <translation>Quanto spesso</translation>
    </message>
    <message>
        <source>Worked</source>
        <translation>Ha funzionato</translation>
    </message>
    <message>
        <source>By the blueprint</source>
        <translation>Secondo la scheda</translation>
    </message>
    <message>
        <source>not noted</source>
        <translation>non annotato</translation>
    </message>
    <message>
        <source>%1 of %2</source>
        <translation>%1 di %2</translation>
    </message>
    <message>
        <source>%1 of %2 (%3 to %4 %)</source>
        <translation>%1 su %2 (da %3 a %4 %)</translation>
    </message>
    <message>
        <source>no rule</source>
        <translation>nessuna regola</translation>
    </message>
    <message>
        <source>right</source>
        <translation>giusto</translation>
    </message>
    <message>
        <source>right elsewhere, not here</source>
        <translation>giusta altrove, non qui</translation>
    </message>
    <message>
        <source>%1 better declined: %2</source>
        <translation>%1 da rinunciare: %2</translation>
    </message>
    <message>
        <source>Seen by eye, player by player</source>
        <translation>Visto a occhio, giocatore per giocatore</translation>
    </message>
    <message>
        <source>Player</source>
        <translation>Giocatore</translation>
    </message>
    <message>
        <source>no: %1 of %2</source>
        <translation>no: %1 su %2</translation>
    </message>
    <message>
        <source>yes: %1 of %2</source>
        <translation>sì: %1 su %2</translation>
    </message>
    <message>
        <source>%1 Yes %2, partly %3, no %4; no in %5 to %6 % of such reps, 95 %.</source>
        <translation>%1 Sì %2, in parte %3, no %4; no nel %5–%6 % di ripetizioni così, 95 %.</translation>
    </message>
    <message>
        <source>%1, %2</source>
        <translation>%1, %2</translation>
    </message>
</context>
<context>
    <name>riflesso::SettingsDialog</name>
    <message>
        <source>Settings</source>
        <translation>Impostazioni</translation>
    </message>
    <message>
        <source>Another one …</source>
        <translation>Un&apos;altra …</translation>
    </message>
    <message>
        <source>none is open</source>
        <translation>nessuna è aperta</translation>
    </message>
    <message>
        <source>Library</source>
        <translation>Libreria</translation>
    </message>
    <message>
        <source>as the system</source>
        <translation>come il sistema</translation>
    </message>
    <message>
        <source>Language</source>
        <translation>Lingua</translation>
    </message>
    <message>
        <source>Of the window and of what is printed. Your own words stay as you wrote them.</source>
        <translation>Della finestra e di ciò che si stampa. Le tue parole restano come le hai scritte.</translation>
    </message>
    <message>
        <source>Theme</source>
        <translation>Tema</translation>
    </message>
    <message>
        <source>light</source>
        <translation>chiaro</translation>
    </message>
    <message>
        <source>dark</source>
        <translation>scuro</translation>
    </message>
    <message>
        <source>Size of letters</source>
        <translation>Grandezza dei caratteri</translation>
    </message>
    <message>
        <source>100 %</source>
        <translation>100 %</translation>
    </message>
    <message>
        <source>110 %</source>
        <translation>110 %</translation>
    </message>
    <message>
        <source>125 %</source>
        <translation>125 %</translation>
    </message>
    <message>
        <source>150 %</source>
        <translation>150 %</translation>
    </message>
    <message>
        <source>Sure means</source>
        <translation>Sicuro significa</translation>
    </message>
    <message>
        <source>90 of 100</source>
        <translation>90 su 100</translation>
    </message>
    <message>
        <source>95 of 100</source>
        <translation>95 su 100</translation>
    </message>
    <message>
        <source>99 of 100</source>
        <translation>99 su 100</translation>
    </message>
    <message>
        <source>How likely it must be that a value lies inside or outside its band before that is said. More means fewer wrong calls and more that is left open.</source>
        <translation>Quanto dev&apos;essere probabile che un valore stia dentro o fuori dalla sua fascia prima di dirlo. Di più significa meno sentenze sbagliate e più cose lasciate aperte.</translation>
    </message>
    <message>
        <source>Hand of the mouse</source>
        <translation>Mano del mouse</translation>
    </message>
    <message>
        <source>right</source>
        <translation>giusto</translation>
    </message>
    <message>
        <source>left</source>
        <translation>sinistra</translation>
    </message>
    <message>
        <source>The side of Marking with the loupe stands where this hand is.</source>
        <translation>Il lato della Marcatura con la lente sta dove c&apos;è questa mano.</translation>
    </message>
    <message>
        <source> MB</source>
        <translation> MB</translation>
    </message>
    <message>
        <source>All pictures kept at hand together. More makes stepping backwards in large films smoother.</source>
        <translation>Tutte le immagini tenute pronte, insieme. Di più rende più fluido andare indietro nei filmati grandi.</translation>
    </message>
    <message>
        <source>Memory for pictures</source>
        <translation>Memoria per le immagini</translation>
    </message>
    <message>
        <source>nobody in particular</source>
        <translation>nessuno in particolare</translation>
    </message>
    <message>
        <source>Stands beside what is changed in the programme by hand.</source>
        <translation>Sta accanto a ciò che si cambia a mano nel programma.</translation>
    </message>
    <message>
        <source>Who works here</source>
        <translation>Chi lavora qui</translation>
    </message>
</context>
<context>
    <name>riflesso::ShelfModel</name>
    <message>
        <source>Drop films here
for a new athlete</source>
        <translation>Trascina qui filmati
per un nuovo atleta</translation>
    </message>
    <message>
        <source>Looking into the film …</source>
        <translation>Guardo nel filmato …</translation>
    </message>
    <message>
        <source>Drop a film here</source>
        <translation>Trascina qui un filmato</translation>
    </message>
    <message>
        <source>No technique yet</source>
        <translation>Ancora nessuna tecnica</translation>
    </message>
    <message>
        <source>Open it to see what is next</source>
        <translation>Aprilo per vedere il prossimo passo</translation>
    </message>
    <message>
        <source>New athlete</source>
        <translation>Nuovo atleta</translation>
    </message>
    <message>
        <source>filmed today</source>
        <translation>filmato oggi</translation>
    </message>
    <message>
        <source>filmed yesterday</source>
        <translation>filmato ieri</translation>
    </message>
    <message>
        <source>filmed %1 days ago</source>
        <translation>filmato %1 giorni fa</translation>
    </message>
    <message>
        <source>filmed %1 months ago</source>
        <translation>filmato %1 mesi fa</translation>
    </message>
    <message>
        <source>not filmed yet</source>
        <translation>non ancora filmato</translation>
    </message>
    <message>
        <source>practice today</source>
        <translation>pratica oggi</translation>
    </message>
    <message>
        <source>next practice %1</source>
        <translation>prossima pratica %1</translation>
    </message>
</context>
<context>
    <name>riflesso::ShelfPage</name>
    <message>
        <source>Search a name, a technique, a fault …</source>
        <translation>Cerca un nome, una tecnica, un difetto …</translation>
    </message>
    <message>
        <source>Search</source>
        <translation>Cerca</translation>
    </message>
    <message>
        <source>New athlete …</source>
        <translation>Nuovo atleta …</translation>
    </message>
    <message>
        <source>Athletes</source>
        <translation>Atleti</translation>
    </message>
    <message>
        <source>Undo</source>
        <translation>Annulla</translation>
    </message>
    <message>
        <source>Who has what, and one session for all.</source>
        <translation>Chi ha che cosa, e una seduta per tutti.</translation>
    </message>
    <message>
        <source>Who needs me</source>
        <translation>Chi ha bisogno di me</translation>
    </message>
    <message>
        <source>Everybody</source>
        <translation>Tutti</translation>
    </message>
    <message>
        <source>Put away</source>
        <translation>Riposti</translation>
    </message>
    <message>
        <source>%1 as a sheet</source>
        <translation>%1 in un foglio</translation>
    </message>
    <message>
        <source>All as a sheet</source>
        <translation>Tutti in un foglio</translation>
    </message>
    <message>
        <source>Nobody is here yet. Drop yesterday&apos;s film on this page, or press New athlete.
Films and what is measured on them stay on this computer.</source>
        <translation>Non c&apos;è ancora nessuno. Trascina il filmato di ieri su questa pagina, o premi Nuovo atleta.
I filmati e ciò che vi si misura restano su questo computer.</translation>
    </message>
    <message>
        <source>Nobody here is called so, or works on that.
Esc clears the search.</source>
        <translation>Nessuno qui si chiama così, o lavora su questo.
Esc svuota la ricerca.</translation>
    </message>
    <message>
        <source>Open: %1</source>
        <translation>Apri: %1</translation>
    </message>
    <message>
        <source>The athlete&apos;s page …</source>
        <translation>La pagina dell&apos;atleta …</translation>
    </message>
    <message>
        <source>Another technique …</source>
        <translation>Un&apos;altra tecnica …</translation>
    </message>
    <message>
        <source>Squad …</source>
        <translation>Squadra …</translation>
    </message>
    <message>
        <source>Take back onto the shelf</source>
        <translation>Rimetti sullo scaffale</translation>
    </message>
    <message>
        <source>Delete …</source>
        <translation>Elimina …</translation>
    </message>
    <message>
        <source>Name</source>
        <translation>Nome</translation>
    </message>
    <message>
        <source>Technique</source>
        <translation>Tecnica</translation>
    </message>
    <message>
        <source>right-handed</source>
        <translation>destrimano</translation>
    </message>
    <message>
        <source>left-handed</source>
        <translation>mancino</translation>
    </message>
    <message>
        <source>Stronger hand</source>
        <translation>Mano più forte</translation>
    </message>
    <message>
        <source>Squad</source>
        <translation>Squadra</translation>
    </message>
    <message>
        <source>New athlete</source>
        <translation>Nuovo atleta</translation>
    </message>
    <message>
        <source>Another technique</source>
        <translation>Un&apos;altra tecnica</translation>
    </message>
    <message>
        <source>Squad of %1</source>
        <translation>Squadra di %1</translation>
    </message>
    <message>
        <source>People who train together. Empty for none.</source>
        <translation>Persone che si allenano insieme. Vuoto per nessuna.</translation>
    </message>
    <message>
        <source>Delete %1</source>
        <translation>Elimina %1</translation>
    </message>
    <message>
        <source>%1, all films of theirs inside this library and everything measured on them are deleted when the program ends. Until then it can be undone.</source>
        <translation>%1, tutti i suoi filmati in questa libreria e tutto ciò che vi si è misurato si eliminano quando il programma finisce. Fino ad allora si può annullare.</translation>
    </message>
    <message>
        <source>%1 is deleted when the program ends.</source>
        <translation>%1 si elimina quando il programma finisce.</translation>
    </message>
    <message>
        <source>Delete %1 wholly</source>
        <translation>Elimina %1 del tutto</translation>
    </message>
    <message>
        <source>%1 is deleted now, and nothing brings it back. The daily copies of the library still hold the figures, not the films, until they are replaced within seven days of use.</source>
        <translation>%1 si elimina adesso, e nulla lo riporta. Le copie giornaliere della libreria contengono ancora le cifre, non i filmati, finché non sono sostituite entro sette giorni d&apos;uso.</translation>
    </message>
    <message>
        <source>Delete now</source>
        <translation>Elimina adesso</translation>
    </message>
    <message>
        <source>%1 is deleted: %2.</source>
        <translation>%1 è eliminato: %2.</translation>
    </message>
    <message>
        <source>Hand %1 over</source>
        <translation>Consegna %1</translation>
    </message>
    <message>
        <source>Riflesso bundles (*.riflesso)</source>
        <translation>Pacchetti di Riflesso (*.riflesso)</translation>
    </message>
    <message>
        <source>%1 holds everything.</source>
        <translation>%1 contiene tutto.</translation>
    </message>
    <message>
        <source>%1 taken in.</source>
        <translation>%1 preso.</translation>
    </message>
    <message>
        <source>case</source>
        <translation>caso</translation>
    </message>
    <message>
        <source>cases</source>
        <translation>casi</translation>
    </message>
    <message>
        <source>Duplicate</source>
        <translation>Duplica</translation>
    </message>
    <message>
        <source>Hand over as a file …</source>
        <translation>Consegna come file …</translation>
    </message>
    <message>
        <source>%1 (copy)</source>
        <translation>%1 (copia)</translation>
    </message>
</context>
<context>
    <name>riflesso::SpeedChart</name>
    <message>
        <source>Each rep&apos;s measure against its speed</source>
        <translation>La misura di ogni ripetizione contro la sua velocità</translation>
    </message>
    <message>
        <source>%1, rep %2: %3 at %4 %</source>
        <translation>%1, ripetizione %2: %3 al %4 %</translation>
    </message>
    <message>
        <source>No rep with a known capture rate is measured yet.</source>
        <translation>Nessuna ripetizione con frequenza di ripresa nota è ancora misurata.</translation>
    </message>
    <message>
        <source>band %1</source>
        <translation>fascia %1</translation>
    </message>
    <message>
        <source>%1 %</source>
        <translation>%1 %</translation>
    </message>
    <message>
        <source>speed, of the fastest rep</source>
        <translation>velocità, sulla ripetizione più veloce</translation>
    </message>
    <message>
        <source>falls apart at %1 %</source>
        <translation>si sfalda al %1 %</translation>
    </message>
    <message>
        <source>No rep with a stated effort is measured yet.</source>
        <translation>Nessuna ripetizione con uno sforzo detto è ancora misurata.</translation>
    </message>
    <message>
        <source>effort as stated, of the utmost</source>
        <translation>sforzo detto, del massimo</translation>
    </message>
</context>
<context>
    <name>riflesso::SpokenNote</name>
    <message>
        <source>A spoken note on this block. (V)</source>
        <translation>Una nota a voce su questo blocco. (V)</translation>
    </message>
    <message>
        <source>Hear the spoken note of this block.</source>
        <translation>Ascolta la nota a voce di questo blocco.</translation>
    </message>
    <message>
        <source>Stop (V)</source>
        <translation>Ferma (V)</translation>
    </message>
    <message>
        <source>Speak (V)</source>
        <translation>Parla (V)</translation>
    </message>
    <message>
        <source>%1 s</source>
        <translation>%1 s</translation>
    </message>
</context>
<context>
    <name>riflesso::SquadMeasure</name>
    <message>
        <source>Nobody has this measure yet.</source>
        <translation>Nessuno ha ancora questa misura.</translation>
    </message>
    <message>
        <source>band %1</source>
        <translation>fascia %1</translation>
    </message>
    <message>
        <source>The measure of everybody</source>
        <translation>La misura di tutti</translation>
    </message>
</context>
<context>
    <name>riflesso::SquadPractice</name>
    <message>
        <source>Practise together</source>
        <translation>Praticare insieme</translation>
    </message>
    <message>
        <source>Drill</source>
        <translation>Esercizio</translation>
    </message>
    <message>
        <source>A digit or a click takes an athlete; G is good, B not yet; Backspace takes the last one back.</source>
        <translation>Una cifra o un clic prende un atleta; G è buona, B non ancora; Backspace toglie l&apos;ultima.</translation>
    </message>
    <message>
        <source>Close</source>
        <translation>Chiudi</translation>
    </message>
    <message>
        <source>“%1”</source>
        <translation>«%1»</translation>
    </message>
    <message>
        <source>%1 of %2 good</source>
        <translation>%1 buone su %2</translation>
    </message>
</context>
<context>
    <name>riflesso::SquadSheet</name>
    <message>
        <source>works on it</source>
        <translation>ci lavora</translation>
    </message>
    <message>
        <source>held</source>
        <translation>tenuto</translation>
    </message>
    <message>
        <source>has it</source>
        <translation>ce l&apos;ha</translation>
    </message>
    <message>
        <source>the film cannot tell</source>
        <translation>il filmato non può dirlo</translation>
    </message>
    <message>
        <source>not filmed so that it shows</source>
        <translation>non filmato in modo che si veda</translation>
    </message>
    <message>
        <source>does not have it</source>
        <translation>non ce l&apos;ha</translation>
    </message>
    <message>
        <source>Squad: %1</source>
        <translation>Squadra: %1</translation>
    </message>
    <message>
        <source>Technique</source>
        <translation>Tecnica</translation>
    </message>
    <message>
        <source>%1, %2</source>
        <translation>%1, %2</translation>
    </message>
    <message>
        <source>athlete</source>
        <translation>atleta</translation>
    </message>
    <message>
        <source>athletes</source>
        <translation>atleti</translation>
    </message>
    <message>
        <source>Measure</source>
        <translation>Misura</translation>
    </message>
    <message>
        <source>Print the session …</source>
        <translation>Stampa la seduta …</translation>
    </message>
    <message>
        <source>Practise together …</source>
        <translation>Praticate insieme …</translation>
    </message>
    <message>
        <source>Tap a name, then the verdict: everybody&apos;s reps are counted in their own cases.</source>
        <translation>Tocca un nome, poi il giudizio: le ripetizioni di ciascuno si contano nel suo caso.</translation>
    </message>
    <message>
        <source>Close</source>
        <translation>Chiudi</translation>
    </message>
    <message>
        <source>One measure, everybody</source>
        <translation>Una misura, tutti</translation>
    </message>
    <message>
        <source>One session for all</source>
        <translation>Una seduta per tutti</translation>
    </message>
    <message>
        <source>&lt;p&gt;Nobody here is known to have a fault at this technique. Film them once from the side, and open each case.&lt;/p&gt;</source>
        <translation>&lt;p&gt;Qui non si sa di nessuno che abbia un difetto in questa tecnica. Filmali una volta di lato, e apri ciascun caso.&lt;/p&gt;</translation>
    </message>
    <message>
        <source>&lt;p&gt;&lt;b&gt;%1.&lt;/b&gt; &lt;b&gt;&amp;ldquo;%2&amp;rdquo;&lt;/b&gt;&lt;/p&gt;</source>
        <translation>&lt;p&gt;&lt;b&gt;%1.&lt;/b&gt; &lt;b&gt;&amp;ldquo;%2&amp;rdquo;&lt;/b&gt;&lt;/p&gt;</translation>
    </message>
    <message>
        <source>&lt;p class=caution&gt;Caution: %1&lt;/p&gt;</source>
        <translation>&lt;p class=caution&gt;Avvertenza: %1&lt;/p&gt;</translation>
    </message>
    <message>
        <source>Station %1, %2 min: &lt;b&gt;%3&lt;/b&gt;. %4&lt;br&gt;</source>
        <translation>Stazione %1, %2 min: &lt;b&gt;%3&lt;/b&gt;. %4&lt;br&gt;</translation>
    </message>
    <message>
        <source>with %1, who has it</source>
        <translation>con %1, che ce l&apos;ha</translation>
    </message>
    <message>
        <source>with %1, both learn it</source>
        <translation>con %1, imparano entrambi</translation>
    </message>
    <message>
        <source>with the coach</source>
        <translation>con l&apos;allenatore</translation>
    </message>
    <message>
        <source>stations %1</source>
        <translation>stazioni %1</translation>
    </message>
    <message>
        <source>%1 (%2)</source>
        <translation>%1 (%2)</translation>
    </message>
    <message>
        <source>&lt;p&gt;Nothing new, a competition is near: %1.&lt;/p&gt;</source>
        <translation>&lt;p&gt;Nulla di nuovo, una gara è vicina: %1.&lt;/p&gt;</translation>
    </message>
    <message>
        <source>&lt;p&gt;Show it and feed: %1.&lt;/p&gt;</source>
        <translation>&lt;p&gt;Mostra e imbecca: %1.&lt;/p&gt;</translation>
    </message>
    <message>
        <source>&lt;p class=caution&gt;Ask before the first rep, and leave out what hurts: %1.&lt;/p&gt;</source>
        <translation>&lt;p class=caution&gt;Chiedi prima della prima ripetizione, e lascia fuori ciò che fa male: %1.&lt;/p&gt;</translation>
    </message>
    <message>
        <source>The session</source>
        <translation>La seduta</translation>
    </message>
    <message>
        <source>session.pdf</source>
        <translation>seduta.pdf</translation>
    </message>
    <message>
        <source>Paper (*.pdf)</source>
        <translation>Carta (*.pdf)</translation>
    </message>
    <message>
        <source>Session: %1</source>
        <translation>Seduta: %1</translation>
    </message>
    <message>
        <source>%1, at %2</source>
        <translation>%1, a %2</translation>
    </message>
    <message>
        <source>Ringed: works on it, with the rungs of the ladder that are reached. Full: has it. Hook: held. Half: the film cannot tell. Dash: not filmed so that it shows. Small dot: does not have it.</source>
        <translation>Cerchiato: ci lavora, con i pioli della scala raggiunti. Pieno: ce l&apos;ha. Uncino: tenuto. Mezzo: il filmato non può dirlo. Trattino: non filmato in modo che si veda. Puntino: non ce l&apos;ha.</translation>
    </message>
</context>
<context>
    <name>riflesso::SquadTable</name>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>Who has what</source>
        <translation>Chi ha che cosa</translation>
    </message>
    <message>
        <source>have it, of those known</source>
        <translation>ce l&apos;hanno, fra quelli noti</translation>
    </message>
    <message>
        <source>likely share, 95 %</source>
        <translation>quota probabile, 95 %</translation>
    </message>
    <message>
        <source>%1 of %2</source>
        <translation>%1 di %2</translation>
    </message>
    <message>
        <source>%1, %2: %3</source>
        <translation>%1, %2: %3</translation>
    </message>
    <message>
        <source>shows at</source>
        <translation>si vede in</translation>
    </message>
</context>
<context>
    <name>riflesso::StageView</name>
    <message>
        <source>Click the lower left corner</source>
        <translation>Clicca l&apos;angolo in basso a sinistra</translation>
    </message>
    <message>
        <source>Click the lower right corner</source>
        <translation>Clicca l&apos;angolo in basso a destra</translation>
    </message>
    <message>
        <source>Click the upper right corner</source>
        <translation>Clicca l&apos;angolo in alto a destra</translation>
    </message>
    <message>
        <source>Click the upper left corner</source>
        <translation>Clicca l&apos;angolo in alto a sinistra</translation>
    </message>
    <message>
        <source>Drag along something vertical: a door frame, a hanging string</source>
        <translation>Trascina lungo qualcosa di verticale: uno stipite, un filo appeso</translation>
    </message>
    <message>
        <source>Drag along something level</source>
        <translation>Trascina lungo qualcosa di orizzontale</translation>
    </message>
    <message>
        <source>Drag from end to end of the known length, in the plane of the movement</source>
        <translation>Trascina da un estremo all&apos;altro della lunghezza nota, nel piano del movimento</translation>
    </message>
    <message>
        <source>Click the point whose place is known</source>
        <translation>Clicca il punto di cui si conosce la posizione</translation>
    </message>
    <message>
        <source>Click along a straight edge near the border, %1 more at least</source>
        <translation>Clicca lungo un bordo dritto vicino al margine, ancora almeno %1</translation>
    </message>
    <message>
        <source>Click on, or press Enter when the edge is done</source>
        <translation>Continua a cliccare, o premi Invio quando il bordo è fatto</translation>
    </message>
    <message>
        <source>Drag along another length you know</source>
        <translation>Trascina lungo un&apos;altra lunghezza che conosci</translation>
    </message>
    <message>
        <source>Drag a frame around the athlete&apos;s whole way</source>
        <translation>Trascina un riquadro attorno a tutto il percorso dell&apos;atleta</translation>
    </message>
    <message>
        <source>Click where it came down</source>
        <translation>Clicca dove è arrivata</translation>
    </message>
    <message>
        <source>Click the middle of the zone</source>
        <translation>Clicca il mezzo della zona</translation>
    </message>
    <message>
        <source>Click a point of its edge</source>
        <translation>Clicca un punto del suo bordo</translation>
    </message>
    <message>
        <source>vertical</source>
        <translation>verticale</translation>
    </message>
    <message>
        <source>level</source>
        <translation>orizzontale</translation>
    </message>
    <message>
        <source>%1 m</source>
        <translation>%1 m</translation>
    </message>
    <message>
        <source>zone</source>
        <translation>zona</translation>
    </message>
    <message>
        <source>landed</source>
        <translation>arrivata</translation>
    </message>
</context>
<context>
    <name>riflesso::Station</name>
    <message>
        <source>%1 (Ctrl+%2)</source>
        <translation>%1 (Ctrl+%2)</translation>
    </message>
    <message>
        <source>%1 (Ctrl+%2). Still lacks: %3.</source>
        <translation>%1 (Ctrl+%2). Manca ancora: %3.</translation>
    </message>
</context>
<context>
    <name>riflesso::StillPair</name>
    <message>
        <source>The picture of the finding, athlete above, model below</source>
        <translation>L&apos;immagine del rilievo, sopra l&apos;atleta, sotto il modello</translation>
    </message>
    <message>
        <source>not read</source>
        <translation>non letto</translation>
    </message>
    <message>
        <source>frame %1 of “%2”</source>
        <translation>fotogramma %1 di «%2»</translation>
    </message>
    <message>
        <source>No rep of this set shows it: it is seen %1.</source>
        <translation>Nessuna ripetizione di questa serie lo mostra: si vede %1.</translation>
    </message>
    <message>
        <source>No picture belongs to this.</source>
        <translation>A questo non appartiene nessuna immagine.</translation>
    </message>
    <message>
        <source>rep %1 of %2</source>
        <translation>ripetizione %1 di %2</translation>
    </message>
    <message>
        <source>No model was filmed from this side.</source>
        <translation>Nessun modello è stato filmato da questo lato.</translation>
    </message>
    <message>
        <source>Space plays it, arrows step the reps</source>
        <translation>Spazio la riproduce, le frecce cambiano ripetizione</translation>
    </message>
</context>
<context>
    <name>riflesso::StoryLine</name>
    <message>
        <source>The story of this case</source>
        <translation>La storia di questo caso</translation>
    </message>
    <message>
        <source>nothing yet</source>
        <translation>ancora nulla</translation>
    </message>
    <message>
        <source>today</source>
        <translation>oggi</translation>
    </message>
    <message>
        <source>competition</source>
        <translation>gara</translation>
    </message>
    <message>
        <source>%1 days&apos; pause</source>
        <translation>pausa di %1 giorni</translation>
    </message>
</context>
<context>
    <name>riflesso::TimePanel</name>
    <message>
        <source>Capture rate</source>
        <translation>Frequenza di ripresa</translation>
    </message>
    <message>
        <source> Hz</source>
        <translation> Hz</translation>
    </message>
    <message>
        <source>not set</source>
        <translation>non fissata</translation>
    </message>
    <message>
        <source>How many pictures a second the camera really took. Slow motion plays them slower: every time and speed is wrong until this is right.</source>
        <translation>Quante immagini al secondo ha preso davvero la telecamera. Il rallentatore le mostra più piano: ogni tempo e ogni velocità sono sbagliati finché questo non è giusto.</translation>
    </message>
    <message>
        <source>a stopwatch in the picture</source>
        <translation>un cronometro nell&apos;immagine</translation>
    </message>
    <message>
        <source>a ball that falls</source>
        <translation>una palla che cade</translation>
    </message>
    <message>
        <source>First moment is here</source>
        <translation>Il primo momento è qui</translation>
    </message>
    <message>
        <source>Second moment is here</source>
        <translation>Il secondo momento è qui</translation>
    </message>
    <message>
        <source>Use this rate</source>
        <translation>Usa questa frequenza</translation>
    </message>
    <message>
        <source>… and all of this day (Shift+H)</source>
        <translation>… e per tutto questo giorno (Maiusc+H)</translation>
    </message>
    <message>
        <source>Check it by</source>
        <translation>Verificala con</translation>
    </message>
    <message>
        <source>set the capture rate</source>
        <translation>fissare la frequenza di ripresa</translation>
    </message>
    <message>
        <source>From how high it was let go.</source>
        <translation>Da quale altezza è stata lasciata.</translation>
    </message>
    <message>
        <source>What the watch shows there.</source>
        <translation>Che cosa mostra lì il cronometro.</translation>
    </message>
    <message>
        <source>The capture rate is set already.</source>
        <translation>La frequenza di ripresa è già fissata.</translation>
    </message>
    <message>
        <source>Step to the last frame on which the ball is held, then to the first on which it has landed, and say so.</source>
        <translation>Vai all&apos;ultimo fotogramma in cui la palla è tenuta, poi al primo in cui è a terra, e dillo.</translation>
    </message>
    <message>
        <source>Step to two frames that show the running watch, say so and read it.</source>
        <translation>Vai a due fotogrammi che mostrano il cronometro in corsa, dillo e leggilo.</translation>
    </message>
    <message>
        <source>frame %1 to frame %2: %3 apart</source>
        <translation>dal fotogramma %1 al %2: %3 di distanza</translation>
    </message>
    <message>
        <source>The camera took %1 ± %2 pictures a second.</source>
        <translation>La telecamera ha preso %1 ± %2 immagini al secondo.</translation>
    </message>
    <message>
        <source> At the rate set now the ball would fall with %1 ± %2 m/s² instead of 9.81.</source>
        <translation> Con la frequenza fissata la palla cadrebbe con %1 ± %2 m/s² invece di 9,81.</translation>
    </message>
    <message>
        <source> That agrees with what is set.</source>
        <translation> Concorda con quanto è fissato.</translation>
    </message>
    <message>
        <source> That does not agree with what is set.</source>
        <translation> Non concorda con quanto è fissato.</translation>
    </message>
    <message>
        <source>Nobody has said it yet. Look at the camera&apos;s settings, or check it below.</source>
        <translation>Nessuno l&apos;ha ancora detta. Guarda le impostazioni della telecamera, o verificala sotto.</translation>
    </message>
    <message>
        <source>Known from: %1.</source>
        <translation>Nota da: %1.</translation>
    </message>
    <message>
        <source>No slow motion: as the file says, %1 Hz (H)</source>
        <translation>Niente rallentatore: come dice il file, %1 Hz (H)</translation>
    </message>
    <message>
        <source>An instant on this film is sure to ± %1 ms, an interval to ± %2 ms. Two things less than %3 ms apart cannot be told from simultaneous.</source>
        <translation>Un istante di questo filmato è sicuro entro ± %1 ms, un intervallo entro ± %2 ms. Due cose a meno di %3 ms non si distinguono da simultanee.</translation>
    </message>
    <message>
        <source>Until the capture rate is set no time or speed is judged. The file plays at %1 Hz.</source>
        <translation>Finché la frequenza di ripresa non è fissata non si giudica nessun tempo e nessuna velocità. Il file va a %1 Hz.</translation>
    </message>
    <message>
        <source>none in particular</source>
        <translation>nessuna in particolare</translation>
    </message>
    <message>
        <source>Camera</source>
        <translation>Telecamera</translation>
    </message>
    <message>
        <source>Give the cameras names when you use two: what one reads more than the other is then taken off in Progress, once both have filmed three reps from the same side and the films are locked.</source>
        <translation>Se ne usi due, dai un nome alle telecamere: quello che una legge in più dell&apos;altra viene poi sottratto in Progressi, quando tutte e due hanno filmato tre ripetizioni dallo stesso lato e i filmati sono agganciati.</translation>
    </message>
    <message>
        <source>name the camera</source>
        <translation>dai un nome alla telecamera</translation>
    </message>
    <message>
        <source>the film&apos;s tag %1</source>
        <translation>l&apos;etichetta %1 del filmato</translation>
    </message>
</context>
<context>
    <name>riflesso::Tour</name>
    <message>
        <source>This athlete was filmed yesterday. On the left stands what the film says: what is good first, then the cause, then what it brings about. Click on a finding, and the picture shows it.</source>
        <translation>Questa atleta è stata filmata ieri. A sinistra sta ciò che dice il filmato: prima ciò che è buono, poi la causa, poi ciò che provoca. Clicca un rilievo, e l&apos;immagine lo mostra.</translation>
    </message>
    <message>
        <source>Above the line the athlete, below it the model, at the same moments. M sets both in motion, G lays the model&apos;s figure over the athlete, T puts the whole movement on one picture.</source>
        <translation>Sopra la linea l&apos;atleta, sotto il modello, negli stessi momenti. M li mette in moto, G posa la figura del modello sull&apos;atleta, T mette tutto il movimento in una sola immagine.</translation>
    </message>
    <message>
        <source>All of it rests on these points and pegs. Each number leads here by one click; W goes to the frame whose correction would help most.</source>
        <translation>Tutto poggia su questi punti e picchetti. Ogni numero porta qui con un clic; W va al fotogramma la cui correzione aiuterebbe di più.</translation>
    </message>
    <message>
        <source>What was taken up becomes drills on your days. Drag a block: it is said what that breaks. In Practice one key counts a rep.</source>
        <translation>Ciò che è preso in lavoro diventa esercizi nei tuoi giorni. Trascina un blocco: si dice che cosa rompe. In Pratica un tasto conta una ripetizione.</translation>
    </message>
    <message>
        <source>And this goes home: a page, the review with your voice, the movement. F1 opens the guide on the page of what you see. The shelf (Ctrl+0) has more athletes, and place for your own.</source>
        <translation>E questo va a casa: una pagina, il commento con la tua voce, il movimento. F1 apre la guida alla pagina di ciò che vedi. Lo scaffale (Ctrl+0) ha altri atleti, e posto per i tuoi.</translation>
    </message>
    <message>
        <source>Leave (Esc)</source>
        <translation>Lascia (Esc)</translation>
    </message>
    <message>
        <source>%1 of %2</source>
        <translation>%1 di %2</translation>
    </message>
    <message>
        <source>Next</source>
        <translation>Avanti</translation>
    </message>
    <message>
        <source>Done</source>
        <translation>Fatto</translation>
    </message>
    <message>
        <source>Tour, step %1 of %2: %3</source>
        <translation>Giro, passo %1 di %2: %3</translation>
    </message>
</context>
<context>
    <name>riflesso::Transport</name>
    <message>
        <source>Play backwards (B)</source>
        <translation>Riproduci all&apos;indietro (B)</translation>
    </message>
    <message>
        <source>Play forwards (Space)</source>
        <translation>Riproduci in avanti (Spazio)</translation>
    </message>
    <message>
        <source>round</source>
        <translation>in giro</translation>
    </message>
    <message>
        <source>Play it again and again (L)</source>
        <translation>Riproducilo ancora e ancora (L)</translation>
    </message>
    <message>
        <source>One frame back (←)</source>
        <translation>Un fotogramma indietro (←)</translation>
    </message>
    <message>
        <source>One frame on (→)</source>
        <translation>Un fotogramma avanti (→)</translation>
    </message>
    <message>
        <source>the rep</source>
        <translation>la ripetizione</translation>
    </message>
    <message>
        <source>the phase</source>
        <translation>la fase</translation>
    </message>
    <message>
        <source>the take</source>
        <translation>la ripresa</translation>
    </message>
    <message>
        <source>What is played round</source>
        <translation>Che cosa si riproduce in tondo</translation>
    </message>
    <message>
        <source>Speed</source>
        <translation>Velocità</translation>
    </message>
    <message>
        <source>1/16 speed</source>
        <translation>velocità 1/16</translation>
    </message>
    <message>
        <source>1/8 speed</source>
        <translation>velocità 1/8</translation>
    </message>
    <message>
        <source>1/4 speed</source>
        <translation>velocità 1/4</translation>
    </message>
    <message>
        <source>1/2 speed</source>
        <translation>velocità 1/2</translation>
    </message>
    <message>
        <source>real speed</source>
        <translation>velocità reale</translation>
    </message>
    <message>
        <source>2 × speed</source>
        <translation>velocità 2 ×</translation>
    </message>
    <message>
        <source>Against the speed at which it really happened (, and . change it)</source>
        <translation>Rispetto alla velocità a cui è accaduto davvero (, e . la cambiano)</translation>
    </message>
    <message>
        <source>Where in the take</source>
        <translation>Dove nella ripresa</translation>
    </message>
    <message>
        <source>Two instants nearer to one another than what this film decides cannot be told from simultaneous.</source>
        <translation>Due istanti più vicini di quanto questo filmato decide non si distinguono da simultanei.</translation>
    </message>
    <message>
        <source>frame %1 of %2</source>
        <translation>fotogramma %1 di %2</translation>
    </message>
    <message>
        <source>  ·  %1 s ± %2 ms</source>
        <translation>  ·  %1 s ± %2 ms</translation>
    </message>
    <message>
        <source>  ·  decides from %1 ms on</source>
        <translation>  ·  decide da %1 ms in su</translation>
    </message>
    <message>
        <source>  ·  the capture rate is not set: seconds of the file</source>
        <translation>  ·  la frequenza di ripresa non è fissata: secondi del file</translation>
    </message>
    <message>
        <source>play</source>
        <translation>avvia</translation>
    </message>
</context>
<context>
    <name>riflesso::TrendChart</name>
    <message>
        <source>%1, rep %2: %3, %4</source>
        <translation>%1, ripetizione %2: %3, %4</translation>
    </message>
    <message>
        <source>outside</source>
        <translation>fuori</translation>
    </message>
    <message>
        <source>inside</source>
        <translation>dentro</translation>
    </message>
    <message>
        <source>and %1 more</source>
        <translation>e altre %1</translation>
    </message>
    <message>
        <source>The focus measure over its dates</source>
        <translation>La misura del focus nelle sue date</translation>
    </message>
    <message>
        <source>No focus is measured yet. Findings give the focus; each later film adds a point here.</source>
        <translation>Ancora nessun focus è misurato. I rilievi danno il focus; ogni filmato successivo aggiunge qui un punto.</translation>
    </message>
    <message>
        <source>band %1</source>
        <translation>fascia %1</translation>
    </message>
    <message>
        <source>between the dashed lines: may be chance</source>
        <translation>fra le linee tratteggiate: può essere il caso</translation>
    </message>
    <message>
        <source>a step, 95 %: %1 to %2</source>
        <translation>un salto, 95 %: da %1 a %2</translation>
    </message>
    <message>
        <source>goal %1</source>
        <translation>traguardo %1</translation>
    </message>
    <message>
        <source>rep</source>
        <translation>ripetizione</translation>
    </message>
    <message>
        <source>reps</source>
        <translation>ripetizioni</translation>
    </message>
    <message>
        <source>a step, 95 %: %1</source>
        <translation>un salto, 95 %: %1</translation>
    </message>
</context>
<context>
    <name>riflesso::TrustStrip</name>
    <message>
        <source>Trust strip: how sure each mark is</source>
        <translation>Striscia della fiducia: quanto è sicuro ogni segno</translation>
    </message>
    <message>
        <source>One row a landmark: darker is less sure, dots are made by hand, nothing is a gap.</source>
        <translation>Una riga per punto: più scuro è meno sicuro, i punti sono fatti a mano, il vuoto è una lacuna.</translation>
    </message>
    <message>
        <source>, frame %1: not marked</source>
        <translation>, fotogramma %1: non marcato</translation>
    </message>
    <message>
        <source>%1, frame %2: not to be seen</source>
        <translation>%1, fotogramma %2: non visibile</translation>
    </message>
    <message>
        <source>%1, frame %2: %3, sure to %4 px</source>
        <translation>%1, fotogramma %2: %3, sicuro entro %4 px</translation>
    </message>
    <message>
        <source>head</source>
        <translation>testa</translation>
    </message>
    <message>
        <source>arms</source>
        <translation>braccia</translation>
    </message>
    <message>
        <source>legs</source>
        <translation>gambe</translation>
    </message>
    <message>
        <source>by hand</source>
        <translation>a mano</translation>
    </message>
    <message>
        <source>unsure</source>
        <translation>incerto</translation>
    </message>
    <message>
        <source>sure</source>
        <translation>sicuro</translation>
    </message>
</context>
<context>
    <name>riflesso::Voice</name>
    <message>
        <source>Simulated microphone</source>
        <translation>Microfono simulato</translation>
    </message>
</context>
<context>
    <name>riflesso::WhoDialog</name>
    <message>
        <source>Who is the athlete?</source>
        <translation>Chi è l&apos;atleta?</translation>
    </message>
    <message>
        <source>Person %1</source>
        <translation>Persona %1</translation>
    </message>
    <message>
        <source>Somebody else: draw a box …</source>
        <translation>Qualcun altro: disegna un riquadro …</translation>
    </message>
    <message>
        <source>Leave</source>
        <translation>Lascia</translation>
    </message>
    <message>
        <source>Several people are in this film. Click the athlete, or press the number.</source>
        <translation>In questo filmato ci sono più persone. Fai clic sull&apos;atleta, o premi il numero.</translation>
    </message>
</context>
<context>
    <name>riflesso::Workshop</name>
    <message>
        <source>Technique</source>
        <translation>Tecnica</translation>
    </message>
    <message>
        <source>Key positions</source>
        <translation>Posizioni chiave</translation>
    </message>
    <message>
        <source>Measures</source>
        <translation>Misure</translation>
    </message>
    <message>
        <source>Faults</source>
        <translation>Difetti</translation>
    </message>
    <message>
        <source>Causes</source>
        <translation>Cause</translation>
    </message>
    <message>
        <source>Drills</source>
        <translation>Esercizi</translation>
    </message>
    <message>
        <source>Profiles</source>
        <translation>Profili</translation>
    </message>
    <message>
        <source>Schools</source>
        <translation>Scuole</translation>
    </message>
    <message>
        <source>Situations</source>
        <translation>Situazioni</translation>
    </message>
    <message>
        <source>Checkpoints</source>
        <translation>Punti di controllo</translation>
    </message>
    <message>
        <source>Changes</source>
        <translation>Modifiche</translation>
    </message>
    <message>
        <source>Blueprint workshop</source>
        <translation>Officina delle schede</translation>
    </message>
    <message>
        <source>Rooms of the workshop</source>
        <translation>Stanze dell&apos;officina</translation>
    </message>
    <message>
        <source>Add</source>
        <translation>Aggiungi</translation>
    </message>
    <message>
        <source>Add one</source>
        <translation>Aggiungine uno</translation>
    </message>
    <message>
        <source>Copy</source>
        <translation>Copia</translation>
    </message>
    <message>
        <source>One more like this</source>
        <translation>Un altro come questo</translation>
    </message>
    <message>
        <source>Remove</source>
        <translation>Togli</translation>
    </message>
    <message>
        <source>Take it away</source>
        <translation>Toglilo</translation>
    </message>
    <message>
        <source>Earlier in the list</source>
        <translation>Prima nell&apos;elenco</translation>
    </message>
    <message>
        <source>Later in the list</source>
        <translation>Dopo nell&apos;elenco</translation>
    </message>
    <message>
        <source>What is still to be mended</source>
        <translation>Che cosa c&apos;è ancora da riparare</translation>
    </message>
    <message>
        <source>Undo</source>
        <translation>Annulla</translation>
    </message>
    <message>
        <source>Ctrl+Z</source>
        <translation>Ctrl+Z</translation>
    </message>
    <message>
        <source>Redo</source>
        <translation>Ripeti</translation>
    </message>
    <message>
        <source>Ctrl+Shift+Z</source>
        <translation>Ctrl+Maiusc+Z</translation>
    </message>
    <message>
        <source>From scratch</source>
        <translation>Da zero</translation>
    </message>
    <message>
        <source>A new technique with nothing in it</source>
        <translation>Una tecnica nuova con dentro nulla</translation>
    </message>
    <message>
        <source>New technique</source>
        <translation>Nuova tecnica</translation>
    </message>
    <message>
        <source>Start</source>
        <translation>Inizio</translation>
    </message>
    <message>
        <source>End</source>
        <translation>Fine</translation>
    </message>
    <message>
        <source>Open …</source>
        <translation>Apri …</translation>
    </message>
    <message>
        <source>Another blueprint of this library</source>
        <translation>Un&apos;altra scheda di questa libreria</translation>
    </message>
    <message>
        <source>Which blueprint</source>
        <translation>Quale scheda</translation>
    </message>
    <message>
        <source>%1, version %2</source>
        <translation>%1, versione %2</translation>
    </message>
    <message>
        <source>Open</source>
        <translation>Apri</translation>
    </message>
    <message>
        <source>Import …</source>
        <translation>Importa …</translation>
    </message>
    <message>
        <source>A blueprint&apos;s JSON file</source>
        <translation>Il file JSON di una scheda</translation>
    </message>
    <message>
        <source>Import a blueprint</source>
        <translation>Importa una scheda</translation>
    </message>
    <message>
        <source>Blueprints (*.json)</source>
        <translation>Schede (*.json)</translation>
    </message>
    <message>
        <source>Export …</source>
        <translation>Esporta …</translation>
    </message>
    <message>
        <source>As a JSON file, for others</source>
        <translation>Come file JSON, per altri</translation>
    </message>
    <message>
        <source>Export the blueprint</source>
        <translation>Esporta la scheda</translation>
    </message>
    <message>
        <source>Keep this version</source>
        <translation>Tieni questa versione</translation>
    </message>
    <message>
        <source>Ctrl+S: into the library, as the next version; earlier ones stay</source>
        <translation>Ctrl+S: nella libreria, come versione successiva; le precedenti restano</translation>
    </message>
    <message>
        <source>Drag from a cause to its consequence. Click a line to change it.</source>
        <translation>Trascina da una causa alla sua conseguenza. Clicca una linea per cambiarla.</translation>
    </message>
    <message>
        <source>Strength</source>
        <translation>Forza</translation>
    </message>
    <message>
        <source>Take the line away</source>
        <translation>Togli la linea</translation>
    </message>
    <message>
        <source>Cause</source>
        <translation>Causa</translation>
    </message>
    <message>
        <source>Consequence</source>
        <translation>Conseguenza</translation>
    </message>
    <message>
        <source>causes</source>
        <translation>causa</translation>
    </message>
    <message>
        <source>That cannot be: %1.</source>
        <translation>Non può essere: %1.</translation>
    </message>
    <message>
        <source>From version</source>
        <translation>Dalla versione</translation>
    </message>
    <message>
        <source>To version</source>
        <translation>Alla versione</translation>
    </message>
    <message>
        <source>From</source>
        <translation>Da</translation>
    </message>
    <message>
        <source>to</source>
        <translation>a</translation>
    </message>
    <message>
        <source>Nothing is different.</source>
        <translation>Nulla è diverso.</translation>
    </message>
    <message>
        <source>as it is now</source>
        <translation>com&apos;è adesso</translation>
    </message>
    <message>
        <source>as it was opened</source>
        <translation>com&apos;è stata aperta</translation>
    </message>
    <message>
        <source>version %1</source>
        <translation>versione %1</translation>
    </message>
    <message>
        <source>%1, version %2%3</source>
        <translation>%1, versione %2%3</translation>
    </message>
    <message>
        <source>, changed</source>
        <translation>, cambiata</translation>
    </message>
    <message>
        <source>Undo: %1</source>
        <translation>Annulla: %1</translation>
    </message>
    <message>
        <source>“%1” causes “%2”</source>
        <translation>«%1» causa «%2»</translation>
    </message>
    <message>
        <source>“%1”</source>
        <translation>«%1»</translation>
    </message>
    <message>
        <source>Sound: nothing to mend.</source>
        <translation>Sana: nulla da riparare.</translation>
    </message>
    <message>
        <source>Click to go there</source>
        <translation>Clicca per andarci</translation>
    </message>
    <message>
        <source>Imported; it is kept in this library when you keep a version.</source>
        <translation>Importata; si tiene in questa libreria quando tieni una versione.</translation>
    </message>
    <message>
        <source>Written: %1</source>
        <translation>Scritto: %1</translation>
    </message>
    <message>
        <source>Mend what is listed below first.</source>
        <translation>Prima ripara ciò che è elencato sotto.</translation>
    </message>
    <message>
        <source>Kept as version %1. Cases of this technique use it when they are next opened.</source>
        <translation>Tenuta come versione %1. I casi di questa tecnica la usano quando si riaprono.</translation>
    </message>
    <message>
        <source>Close the workshop</source>
        <translation>Chiudi l&apos;officina</translation>
    </message>
    <message>
        <source>What was changed since the last kept version is lost.</source>
        <translation>Ciò che è cambiato dall&apos;ultima versione tenuta va perso.</translation>
    </message>
    <message>
        <source>Name</source>
        <translation>Nome</translation>
    </message>
    <message>
        <source>Cautions</source>
        <translation>Avvertenze</translation>
    </message>
    <message>
        <source>parted by |</source>
        <translation>separati da |</translation>
    </message>
    <message>
        <source>Landmarks</source>
        <translation>Punti del corpo</translation>
    </message>
    <message>
        <source>in the order in which the eye goes</source>
        <translation>nell&apos;ordine in cui va l&apos;occhio</translation>
    </message>
    <message>
        <source>lead_ is the side of the weapon or of the preferred hand, rear_ the other one</source>
        <translation>lead_ è il lato dell&apos;arma o della mano preferita, rear_ l&apos;altro</translation>
    </message>
    <message>
        <source>%1, version %2: %3 key positions, %4 measures, %5 faults, %6 drills.
Drills by stage: %7.</source>
        <translation>%1, versione %2: %3 posizioni chiave, %4 misure, %5 difetti, %6 esercizi.
Esercizi per livello: %7.</translation>
    </message>
    <message>
        <source>How to recognise it</source>
        <translation>Come riconoscerla</translation>
    </message>
    <message>
        <source>Take the picture from the film</source>
        <translation>Prendi l&apos;immagine dal filmato</translation>
    </message>
    <message>
        <source>The frame that is shown in Footage and Marking</source>
        <translation>Il fotogramma che si vede in Filmati e Marcatura</translation>
    </message>
    <message>
        <source>No picture</source>
        <translation>Nessuna immagine</translation>
    </message>
    <message>
        <source>Picture</source>
        <translation>Immagine</translation>
    </message>
    <message>
        <source>no picture yet</source>
        <translation>ancora nessuna immagine</translation>
    </message>
    <message>
        <source>Found when</source>
        <translation>Trovata quando</translation>
    </message>
    <message>
        <source>no rule: placed by hand</source>
        <translation>nessuna regola: posta a mano</translation>
    </message>
    <message>
        <source>Found when it</source>
        <translation>Trovata quando</translation>
    </message>
    <message>
        <source>Rule</source>
        <translation>Regola</translation>
    </message>
    <message>
        <source>of the</source>
        <translation>di</translation>
    </message>
    <message>
        <source>lead_wrist; three for an angle, two for a distance</source>
        <translation>lead_wrist; tre per un angolo, due per una distanza</translation>
    </message>
    <message>
        <source>of</source>
        <translation>di</translation>
    </message>
    <message>
        <source>“%1” is no landmark.</source>
        <translation>«%1» non è un punto del corpo.</translation>
    </message>
    <message>
        <source>Points of the rule</source>
        <translation>Punti della regola</translation>
    </message>
    <message>
        <source>Direction</source>
        <translation>Direzione</translation>
    </message>
    <message>
        <source>any</source>
        <translation>qualsiasi</translation>
    </message>
    <message>
        <source>downwards, or backwards</source>
        <translation>verso il basso, o all&apos;indietro</translation>
    </message>
    <message>
        <source>Level</source>
        <translation>Livello</translation>
    </message>
    <message>
        <source>the ends of the rep</source>
        <translation>gli estremi della ripetizione</translation>
    </message>
    <message>
        <source>Not before</source>
        <translation>Non prima di</translation>
    </message>
    <message>
        <source>Not after</source>
        <translation>Non dopo</translation>
    </message>
    <message>
        <source>Frames added</source>
        <translation>Fotogrammi aggiunti</translation>
    </message>
    <message>
        <source>On this rep</source>
        <translation>Su questa ripetizione</translation>
    </message>
    <message>
        <source>Open a take in Footage first.</source>
        <translation>Prima apri una ripresa in Filmati.</translation>
    </message>
    <message>
        <source>That frame is not read yet; look at it in Footage, then try again.</source>
        <translation>Quel fotogramma non è ancora letto; guardalo in Filmati, poi riprova.</translation>
    </message>
    <message>
        <source>Open a case with a rep to try the rule on it.</source>
        <translation>Apri un caso con una ripetizione per provarci la regola.</translation>
    </message>
    <message>
        <source>found on frame %1 ± %2 ms%3</source>
        <translation>trovata sul fotogramma %1 ± %2 ms%3</translation>
    </message>
    <message>
        <source>, unsure: %1</source>
        <translation>, incerta: %1</translation>
    </message>
    <message>
        <source>not found: %1</source>
        <translation>non trovata: %1</translation>
    </message>
    <message>
        <source>no rule</source>
        <translation>nessuna regola</translation>
    </message>
    <message>
        <source>; it stands on frame %1</source>
        <translation>; sta sul fotogramma %1</translation>
    </message>
    <message>
        <source>What it costs</source>
        <translation>Che cosa costa</translation>
    </message>
    <message>
        <source>First shows at</source>
        <translation>Si mostra prima a</translation>
    </message>
    <message>
        <source>Cue</source>
        <translation>Richiamo</translation>
    </message>
    <message>
        <source>Caution</source>
        <translation>Avvertenza</translation>
    </message>
    <message>
        <source>can hurt: comes first</source>
        <translation>può far male: viene prima</translation>
    </message>
    <message>
        <source>How readily it changes</source>
        <translation>Quanto facilmente cambia</translation>
    </message>
    <message>
        <source>Seen in</source>
        <translation>Visto in</translation>
    </message>
    <message>
        <source>(one more measure)</source>
        <translation>(un&apos;altra misura)</translation>
    </message>
    <message>
        <source>Measure</source>
        <translation>Misura</translation>
    </message>
    <message>
        <source>Too low or too high</source>
        <translation>Troppo basso o troppo alto</translation>
    </message>
    <message>
        <source>too low</source>
        <translation>troppo basso</translation>
    </message>
    <message>
        <source>too high</source>
        <translation>troppo alto</translation>
    </message>
    <message>
        <source>Weight</source>
        <translation>Peso</translation>
    </message>
    <message>
        <source>How</source>
        <translation>Come</translation>
    </message>
    <message>
        <source>Stage</source>
        <translation>Livello</translation>
    </message>
    <message>
        <source>Sets</source>
        <translation>Serie</translation>
    </message>
    <message>
        <source>Reps a set</source>
        <translation>Ripetizioni per serie</translation>
    </message>
    <message>
        <source>Minutes</source>
        <translation>Minuti</translation>
    </message>
    <message>
        <source>Contrast</source>
        <translation>Contrasto</translation>
    </message>
    <message>
        <source>Equipment</source>
        <translation>Attrezzatura</translation>
    </message>
    <message>
        <source>parted by commas</source>
        <translation>separata da virgole</translation>
    </message>
    <message>
        <source>Speed</source>
        <translation>Velocità</translation>
    </message>
    <message>
        <source>needs a partner</source>
        <translation>serve un compagno</translation>
    </message>
    <message>
        <source>can be done alone at home</source>
        <translation>si può fare da solo a casa</translation>
    </message>
    <message>
        <source>In words</source>
        <translation>A parole</translation>
    </message>
    <message>
        <source>Made of, the first to repair first</source>
        <translation>Fatto di, il primo da riparare per primo</translation>
    </message>
    <message>
        <source>What it teaches</source>
        <translation>Che cosa insegna</translation>
    </message>
    <message>
        <source>Right choices</source>
        <translation>Scelte giuste</translation>
    </message>
    <message>
        <source>Question</source>
        <translation>Domanda</translation>
    </message>
    <message>
        <source>Judged at</source>
        <translation>Giudicato a</translation>
    </message>
    <message>
        <source>Languages</source>
        <translation>Lingue</translation>
    </message>
    <message>
        <source>Better declined when</source>
        <translation>Meglio rinunciare quando</translation>
    </message>
    <message>
        <source>Below or above</source>
        <translation>Sotto o sopra</translation>
    </message>
    <message>
        <source>below</source>
        <translation>sotto</translation>
    </message>
    <message>
        <source>above</source>
        <translation>sopra</translation>
    </message>
    <message>
        <source>Limit</source>
        <translation>Limite</translation>
    </message>
    <message>
        <source>Variations</source>
        <translation>Varianti</translation>
    </message>
    <message>
        <source>from where, how high, which side: parted by commas</source>
        <translation>da dove, a che altezza, da che lato: separati da virgole</translation>
    </message>
</context>
<context>
    <name>riflesso::WorkshopDocument</name>
    <message>
        <source>Add</source>
        <translation>Aggiungi</translation>
    </message>
    <message>
        <source>New position</source>
        <translation>Nuova posizione</translation>
    </message>
    <message>
        <source>New measure</source>
        <translation>Nuova misura</translation>
    </message>
    <message>
        <source>New fault</source>
        <translation>Nuovo difetto</translation>
    </message>
    <message>
        <source>New drill</source>
        <translation>Nuovo esercizio</translation>
    </message>
    <message>
        <source>New school</source>
        <translation>Nuova scuola</translation>
    </message>
    <message>
        <source>New situation</source>
        <translation>Nuova situazione</translation>
    </message>
    <message>
        <source>New profile</source>
        <translation>Nuovo profilo</translation>
    </message>
    <message>
        <source>New checkpoint</source>
        <translation>Nuovo punto di controllo</translation>
    </message>
    <message>
        <source>Copy</source>
        <translation>Copia</translation>
    </message>
    <message>
        <source>, copy</source>
        <translation>, copia</translation>
    </message>
    <message>
        <source>Remove</source>
        <translation>Togli</translation>
    </message>
    <message>
        <source>Order</source>
        <translation>Ordine</translation>
    </message>
    <message>
        <source>Name</source>
        <translation>Nome</translation>
    </message>
</context>
<context>
    <name>sets</name>
    <message>
        <source>%1 moved by %2 (%3 to %4, ± %5). </source>
        <translation>%1 si è mosso di %2 (da %3 a %4, ± %5). </translation>
    </message>
    <message>
        <source>The two sets have no measure in common.</source>
        <translation>Le due serie non hanno misure in comune.</translation>
    </message>
    <message>
        <source>No reps yet.</source>
        <translation>Ancora nessuna ripetizione.</translation>
    </message>
    <message>
        <source>Owned up to %1</source>
        <translation>Posseduto fino a %1</translation>
    </message>
    <message>
        <source>Not owned at any stage yet</source>
        <translation>Non ancora posseduto a nessun livello</translation>
    </message>
    <message>
        <source>, breaks at %1.</source>
        <translation>, si rompe a %1.</translation>
    </message>
    <message>
        <source>, no break seen.</source>
        <translation>, nessuna rottura vista.</translation>
    </message>
    <message>
        <source> Not enough reps yet: %1 more of %2.</source>
        <translation> Non ancora abbastanza ripetizioni: altre %1 di %2.</translation>
    </message>
    <message>
        <source> In between at %1: this is where it is learnt.</source>
        <translation> Nel mezzo a %1: è qui che si impara.</translation>
    </message>
    <message numerus="yes">
        <source>Nothing can be told from %n reps.</source>
        <comment>Nothing can be told from %n rep.</comment>
        <translation>
            <numerusform>Da %n ripetizione non si può dire nulla.</numerusform>
            <numerusform>Da %n ripetizioni non si può dire nulla.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>Nothing else can be told from %n reps.</source>
        <comment>Nothing else can be told from %n rep.</comment>
        <translation>
            <numerusform>Da %n ripetizione non si può dire altro.</numerusform>
            <numerusform>Da %n ripetizioni non si può dire altro.</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>story</name>
    <message numerus="yes">
        <source>%n films, %1</source>
        <comment>%n film, %1</comment>
        <translation>
            <numerusform>%n filmato, %1</numerusform>
            <numerusform>%n filmati, %1</numerusform>
        </translation>
    </message>
    <message>
        <source>practice, %1: %2 of %3 good</source>
        <translation>pratica, %1: %2 buone su %3</translation>
    </message>
    <message>
        <source>practice alone, %1: %2 minutes</source>
        <translation>pratica per conto proprio, %1: %2 minuti</translation>
    </message>
    <message numerus="yes">
        <source>%n planned blocks missed, %1</source>
        <comment>%n planned block missed, %1</comment>
        <translation>
            <numerusform>%n blocco previsto saltato, %1</numerusform>
            <numerusform>%n blocchi previsti saltati, %1</numerusform>
        </translation>
    </message>
    <message>
        <source>taken up, %1: %2</source>
        <translation>preso in mano, %1: %2</translation>
    </message>
    <message>
        <source>closed, %1: %2</source>
        <translation>chiuso, %1: %2</translation>
    </message>
    <message>
        <source>a cue, %1: “%2”</source>
        <translation>un richiamo, %1: «%2»</translation>
    </message>
    <message>
        <source>competition, %1</source>
        <translation>gara, %1</translation>
    </message>
    <message>
        <source>%1 days without film or practice, from %2</source>
        <translation>%1 giorni senza filmati né pratica, da %2</translation>
    </message>
</context>
<context>
    <name>undo</name>
    <message>
        <source>the brief</source>
        <translation>l&apos;incontro</translation>
    </message>
    <message>
        <source>the film %1</source>
        <translation>il filmato %1</translation>
    </message>
    <message>
        <source>rep %1</source>
        <translation>la ripetizione %1</translation>
    </message>
    <message>
        <source>a block of practice</source>
        <translation>un blocco di pratica</translation>
    </message>
    <message>
        <source>a lock of two films</source>
        <translation>un aggancio di due filmati</translation>
    </message>
    <message>
        <source>a repeat marking</source>
        <translation>una seconda marcatura</translation>
    </message>
    <message>
        <source>a decision on a finding</source>
        <translation>una decisione su un rilievo</translation>
    </message>
    <message>
        <source>a note on a frame</source>
        <translation>una nota su un fotogramma</translation>
    </message>
    <message>
        <source>the plan of %1</source>
        <translation>il piano del %1</translation>
    </message>
    <message>
        <source>the mark of the %1 on frame %2</source>
        <translation>il segno di %1 sul fotogramma %2</translation>
    </message>
</context>
<context>
    <name>word</name>
    <message>
        <source>shadow</source>
        <translation>a vuoto</translation>
    </message>
    <message>
        <source>slow</source>
        <translation>lento</translation>
    </message>
    <message>
        <source>constrained</source>
        <translation>vincolato</translation>
    </message>
    <message>
        <source>fixed feed</source>
        <translation>imbeccata fissa</translation>
    </message>
    <message>
        <source>varied feed</source>
        <translation>imbeccata variata</translation>
    </message>
    <message>
        <source>open</source>
        <translation>aperto</translation>
    </message>
    <message>
        <source>scored</source>
        <translation>a punti</translation>
    </message>
    <message>
        <source>competition</source>
        <translation>gara</translation>
    </message>
    <message>
        <source>model</source>
        <translation>modello</translation>
    </message>
    <message>
        <source>literature</source>
        <translation>letteratura</translation>
    </message>
    <message>
        <source>common practice</source>
        <translation>pratica comune</translation>
    </message>
    <message>
        <source>coach</source>
        <translation>allenatore</translation>
    </message>
    <message>
        <source>begins</source>
        <translation>comincia</translation>
    </message>
    <message>
        <source>ends</source>
        <translation>finisce</translation>
    </message>
    <message>
        <source>leaves</source>
        <translation>si stacca</translation>
    </message>
    <message>
        <source>lands</source>
        <translation>tocca</translation>
    </message>
    <message>
        <source>highest</source>
        <translation>più alto</translation>
    </message>
    <message>
        <source>lowest</source>
        <translation>più basso</translation>
    </message>
    <message>
        <source>crosses</source>
        <translation>attraversa</translation>
    </message>
    <message>
        <source>strike</source>
        <translation>colpo</translation>
    </message>
    <message>
        <source>side</source>
        <translation>lato</translation>
    </message>
    <message>
        <source>front</source>
        <translation>fronte</translation>
    </message>
    <message>
        <source>rear</source>
        <translation>retro</translation>
    </message>
    <message>
        <source>above</source>
        <translation>dall&apos;alto</translation>
    </message>
    <message>
        <source>below</source>
        <translation>dal basso</translation>
    </message>
    <message>
        <source>forward</source>
        <translation>avanti</translation>
    </message>
    <message>
        <source>up</source>
        <translation>su</translation>
    </message>
    <message>
        <source>across</source>
        <translation>di traverso</translation>
    </message>
    <message>
        <source>length</source>
        <translation>lunghezza</translation>
    </message>
    <message>
        <source>straightness</source>
        <translation>linearità</translation>
    </message>
    <message>
        <source>detours</source>
        <translation>deviazioni</translation>
    </message>
    <message>
        <source>rate</source>
        <translation>frequenza</translation>
    </message>
    <message>
        <source>speed</source>
        <translation>velocità</translation>
    </message>
    <message>
        <source>together</source>
        <translation>insieme</translation>
    </message>
    <message>
        <source>phase</source>
        <translation>fase</translation>
    </message>
    <message>
        <source>duty</source>
        <translation>appoggio</translation>
    </message>
    <message>
        <source>nearest</source>
        <translation>più vicino</translation>
    </message>
    <message>
        <source>sequence</source>
        <translation>sequenza</translation>
    </message>
    <message>
        <source>lag</source>
        <translation>ritardo</translation>
    </message>
    <message>
        <source>shortest_lag</source>
        <translation>ritardo minimo</translation>
    </message>
    <message>
        <source>braking</source>
        <translation>frenata</translation>
    </message>
    <message>
        <source>inversions</source>
        <translation>inversioni</translation>
    </message>
    <message>
        <source>count</source>
        <translation>conteggio</translation>
    </message>
    <message>
        <source>first</source>
        <translation>primo</translation>
    </message>
    <message>
        <source>feet</source>
        <translation>piedi</translation>
    </message>
    <message>
        <source>time</source>
        <translation>tempo</translation>
    </message>
    <message>
        <source>steps</source>
        <translation>passi</translation>
    </message>
    <message>
        <source>share</source>
        <translation>quota</translation>
    </message>
    <message>
        <source>difference</source>
        <translation>differenza</translation>
    </message>
    <message>
        <source>ratio</source>
        <translation>rapporto</translation>
    </message>
    <message>
        <source>worked</source>
        <translation>riuscita</translation>
    </message>
    <message>
        <source>score</source>
        <translation>punteggio</translation>
    </message>
    <message>
        <source>inside</source>
        <translation>dentro</translation>
    </message>
    <message>
        <source>outside</source>
        <translation>fuori</translation>
    </message>
    <message>
        <source>undecided</source>
        <translation>non deciso</translation>
    </message>
    <message>
        <source>taken up</source>
        <translation>in lavoro</translation>
    </message>
    <message>
        <source>parked</source>
        <translation>da parte</translation>
    </message>
    <message>
        <source>not for this athlete</source>
        <translation>non per questo atleta</translation>
    </message>
    <message>
        <source>planned</source>
        <translation>pianificato</translation>
    </message>
    <message>
        <source>done</source>
        <translation>fatto</translation>
    </message>
    <message>
        <source>moved</source>
        <translation>spostato</translation>
    </message>
    <message>
        <source>missed</source>
        <translation>saltato</translation>
    </message>
    <message>
        <source>dropped</source>
        <translation>tolto</translation>
    </message>
    <message>
        <source>each beat</source>
        <translation>ogni battuta</translation>
    </message>
    <message>
        <source>1-2-3</source>
        <translation>1-2-3</translation>
    </message>
    <message>
        <source>1-2-3-4</source>
        <translation>1-2-3-4</translation>
    </message>
    <message>
        <source>long-short</source>
        <translation>lungo-corto</translation>
    </message>
    <message>
        <source>in 2, out 1</source>
        <translation>dentro 2, fuori 1</translation>
    </message>
    <message>
        <source>head</source>
        <translation>testa</translation>
    </message>
    <message>
        <source>neck</source>
        <translation>collo</translation>
    </message>
    <message>
        <source>shoulder</source>
        <translation>spalla</translation>
    </message>
    <message>
        <source>elbow</source>
        <translation>gomito</translation>
    </message>
    <message>
        <source>wrist</source>
        <translation>polso</translation>
    </message>
    <message>
        <source>hand</source>
        <translation>mano</translation>
    </message>
    <message>
        <source>upper back</source>
        <translation>schiena alta</translation>
    </message>
    <message>
        <source>lower back</source>
        <translation>schiena bassa</translation>
    </message>
    <message>
        <source>hip</source>
        <translation>anca</translation>
    </message>
    <message>
        <source>thigh</source>
        <translation>coscia</translation>
    </message>
    <message>
        <source>knee</source>
        <translation>ginocchio</translation>
    </message>
    <message>
        <source>calf</source>
        <translation>polpaccio</translation>
    </message>
    <message>
        <source>ankle</source>
        <translation>caviglia</translation>
    </message>
    <message>
        <source>foot</source>
        <translation>piede</translation>
    </message>
    <message>
        <source>heel</source>
        <translation>tallone</translation>
    </message>
    <message>
        <source>toe</source>
        <translation>punta del piede</translation>
    </message>
    <message>
        <source>thumb</source>
        <translation>pollice</translation>
    </message>
    <message>
        <source>index</source>
        <translation>indice</translation>
    </message>
    <message>
        <source>little</source>
        <translation>mignolo</translation>
    </message>
    <message>
        <source>big toe</source>
        <translation>alluce</translation>
    </message>
    <message>
        <source>little toe</source>
        <translation>mignolo del piede</translation>
    </message>
    <message>
        <source>ball</source>
        <translation>palla</translation>
    </message>
    <message>
        <source>easy</source>
        <translation>facile</translation>
    </message>
    <message>
        <source>walking speed</source>
        <translation>al passo</translation>
    </message>
    <message>
        <source>half</source>
        <translation>metà</translation>
    </message>
    <message>
        <source>three quarters</source>
        <translation>tre quarti</translation>
    </message>
    <message>
        <source>brisk</source>
        <translation>svelto</translation>
    </message>
    <message>
        <source>steady</source>
        <translation>costante</translation>
    </message>
    <message>
        <source>full</source>
        <translation>piena</translation>
    </message>
    <message>
        <source>race</source>
        <translation>gara</translation>
    </message>
    <message>
        <source>steady to race</source>
        <translation>da costante a gara</translation>
    </message>
    <message>
        <source>Rebuild</source>
        <translation>Ricostruire</translation>
    </message>
    <message>
        <source>one session a week beside normal training: what is new needs room</source>
        <translation>una seduta a settimana accanto all&apos;allenamento normale: il nuovo ha bisogno di spazio</translation>
    </message>
    <message>
        <source>Little and often</source>
        <translation>Poco e spesso</translation>
    </message>
    <message>
        <source>short bouts on most days: what is nearly owned settles by coming back to it</source>
        <translation>brevi prove quasi ogni giorno: ciò che è quasi posseduto si assesta tornandoci</translation>
    </message>
    <message>
        <source>Keep</source>
        <translation>Mantenere</translation>
    </message>
    <message>
        <source>once in ten days: what is owned stays</source>
        <translation>una volta ogni dieci giorni: ciò che è posseduto resta</translation>
    </message>
    <message>
        <source>Competition</source>
        <translation>Gara</translation>
    </message>
    <message>
        <source>attention outside; what is owned goes on and nothing is repaired</source>
        <translation>attenzione all&apos;esterno; ciò che è posseduto continua e non si ripara nulla</translation>
    </message>
    <message>
        <source>Slowly, and never into pain. If it hurts, stop and ask a physiotherapist.</source>
        <translation>Piano, e mai nel dolore. Se fa male, fermati e chiedi a un fisioterapista.</translation>
    </message>
    <message>
        <source>Ankles: knee over toes</source>
        <translation>Caviglie: ginocchio sulle dita</translation>
    </message>
    <message>
        <source>One foot forward, heel down; bring the knee slowly over the toes and back. Ten each side, twice.</source>
        <translation>Un piede avanti, tallone a terra; porta piano il ginocchio sopra le dita e torna. Dieci per lato, due volte.</translation>
    </message>
    <message>
        <source>Quiet steps down</source>
        <translation>Gradini in silenzio</translation>
    </message>
    <message>
        <source>Step down from a low step on one leg, knee over the middle of the foot, so slowly that nobody hears the landing. Six each side, twice.</source>
        <translation>Scendi da un gradino basso su una gamba, ginocchio sopra il mezzo del piede, così piano che nessuno senta l&apos;appoggio. Sei per lato, due volte.</translation>
    </message>
    <message>
        <source>Hips: half kneeling</source>
        <translation>Anche: in mezzo ginocchio</translation>
    </message>
    <message>
        <source>One knee on a cushion; push the hip of that side forward without arching the back. Half a minute each side, three times.</source>
        <translation>Un ginocchio su un cuscino; spingi avanti l&apos;anca di quel lato senza inarcare la schiena. Mezzo minuto per lato, tre volte.</translation>
    </message>
    <message>
        <source>Back: slow bridge</source>
        <translation>Schiena: ponte lento</translation>
    </message>
    <message>
        <source>On the back, feet near; lift the hips one breath long, stay one, come down two. Eight times, twice.</source>
        <translation>Sulla schiena, piedi vicini; solleva il bacino per un respiro, resta uno, scendi in due. Otto volte, due serie.</translation>
    </message>
    <message>
        <source>Shoulders: wall slides</source>
        <translation>Spalle: scivolate al muro</translation>
    </message>
    <message>
        <source>Back and forearms to a wall; slide the arms up as far as they stay on it, and down again. Ten, twice.</source>
        <translation>Schiena e avambracci al muro; fai scivolare su le braccia finché restano appoggiate, e torna giù. Dieci, due volte.</translation>
    </message>
    <message>
        <source>Forearm: slow lowering</source>
        <translation>Avambraccio: discesa lenta</translation>
    </message>
    <message>
        <source>Lift a light weight with the help of the other hand, lower it alone over four counts. Eight, twice.</source>
        <translation>Solleva un peso leggero con l&apos;aiuto dell&apos;altra mano, abbassalo da sola in quattro tempi. Otto, due volte.</translation>
    </message>
    <message>
        <source>One leg, eyes closed</source>
        <translation>Su una gamba, occhi chiusi</translation>
    </message>
    <message>
        <source>Stand on one leg near a wall until the sway is small; then close the eyes. Half a minute each side, three times.</source>
        <translation>Stai su una gamba vicino a un muro finché l&apos;oscillazione è piccola; poi chiudi gli occhi. Mezzo minuto per lato, tre volte.</translation>
    </message>
    <message>
        <source>Long breaths out</source>
        <translation>Espirazioni lunghe</translation>
    </message>
    <message>
        <source>In over three counts, out over six, five minutes, sitting.</source>
        <translation>Dentro in tre tempi, fuori in sei, cinque minuti, da seduto.</translation>
    </message>
    <message>
        <source>stated by the analyst</source>
        <translation>detta dall&apos;analista</translation>
    </message>
    <message>
        <source>a falling ball</source>
        <translation>una palla che cade</translation>
    </message>
    <message>
        <source>a stopwatch in the picture</source>
        <translation>un cronometro nell&apos;immagine</translation>
    </message>
    <message>
        <source>an ordinary film: as the file says</source>
        <translation>un filmato normale: come dice il file</translation>
    </message>
    <message>
        <source>the camera&apos;s own clock</source>
        <translation>l&apos;orologio della telecamera</translation>
    </message>
    <message>
        <source>turned</source>
        <translation>ruotato</translation>
    </message>
    <message>
        <source>off</source>
        <translation>scostato</translation>
    </message>
    <message>
        <source>decline it</source>
        <translation>rinunciare</translation>
    </message>
    <message>
        <source>layback drift</source>
        <translation>appoggio indietro che cambia</translation>
    </message>
    <message>
        <source>length fades</source>
        <translation>la lunghezza cala</translation>
    </message>
    <message>
        <source>halting</source>
        <translation>a scatti</translation>
    </message>
    <message>
        <source>low jump</source>
        <translation>salto basso</translation>
    </message>
    <message>
        <source>rate fades</source>
        <translation>la frequenza cala</translation>
    </message>
    <message>
        <source>rest day</source>
        <translation>giorno di riposo</translation>
    </message>
    <message>
        <source>minutes</source>
        <translation>minuti</translation>
    </message>
    <message>
        <source>bout</source>
        <translation>durata di un blocco</translation>
    </message>
    <message>
        <source>sessions</source>
        <translation>sedute</translation>
    </message>
    <message>
        <source>gap</source>
        <translation>distanza</translation>
    </message>
    <message>
        <source>stage</source>
        <translation>livello</translation>
    </message>
    <message>
        <source>new</source>
        <translation>cosa nuova</translation>
    </message>
    <message>
        <source>load</source>
        <translation>carico</translation>
    </message>
    <message>
        <source>partner</source>
        <translation>compagno</translation>
    </message>
    <message>
        <source>equipment</source>
        <translation>attrezzi</translation>
    </message>
    <message>
        <source>focus</source>
        <translation>obiettivo</translation>
    </message>
    <message>
        <source>twice</source>
        <translation>due volte</translation>
    </message>
    <message>
        <source>ban</source>
        <translation>divieto</translation>
    </message>
    <message>
        <source>always so</source>
        <translation>sempre così</translation>
    </message>
    <message>
        <source>in turn</source>
        <translation>a turno</translation>
    </message>
    <message>
        <source>mixed</source>
        <translation>mescolato</translation>
    </message>
    <message>
        <source>shank</source>
        <translation>gamba</translation>
    </message>
    <message>
        <source>upper arm</source>
        <translation>braccio</translation>
    </message>
    <message>
        <source>forearm</source>
        <translation>avambraccio</translation>
    </message>
    <message>
        <source>variations</source>
        <translation>varianti</translation>
    </message>
    <message>
        <source>middle of the ear opening, or of the head</source>
        <translation>centro del foro dell&apos;orecchio, o della testa</translation>
    </message>
    <message>
        <source>where neck and shoulders meet, in the middle</source>
        <translation>dove collo e spalle si incontrano, al centro</translation>
    </message>
    <message>
        <source>middle of the shoulder joint, under its bony tip</source>
        <translation>centro dell&apos;articolazione della spalla, sotto la punta ossea</translation>
    </message>
    <message>
        <source>middle of the elbow joint</source>
        <translation>centro dell&apos;articolazione del gomito</translation>
    </message>
    <message>
        <source>middle of the wrist joint</source>
        <translation>centro dell&apos;articolazione del polso</translation>
    </message>
    <message>
        <source>knuckle of the middle finger</source>
        <translation>nocca del dito medio</translation>
    </message>
    <message>
        <source>tip of the thumb</source>
        <translation>punta del pollice</translation>
    </message>
    <message>
        <source>tip of the index finger</source>
        <translation>punta dell&apos;indice</translation>
    </message>
    <message>
        <source>tip of the little finger</source>
        <translation>punta del mignolo</translation>
    </message>
    <message>
        <source>middle of the hip joint, at the bony knob of the thigh</source>
        <translation>centro dell&apos;articolazione dell&apos;anca, alla sporgenza ossea della coscia</translation>
    </message>
    <message>
        <source>middle of the knee joint</source>
        <translation>centro dell&apos;articolazione del ginocchio</translation>
    </message>
    <message>
        <source>middle of the ankle, at its bony knob</source>
        <translation>centro della caviglia, alla sporgenza ossea</translation>
    </message>
    <message>
        <source>lowest point of the heel, at its back</source>
        <translation>punto più basso del tallone, dietro</translation>
    </message>
    <message>
        <source>tip of the foot or of the shoe</source>
        <translation>punta del piede o della scarpa</translation>
    </message>
    <message>
        <source>base of the big toe</source>
        <translation>base dell&apos;alluce</translation>
    </message>
    <message>
        <source>base of the little toe</source>
        <translation>base del mignolo del piede</translation>
    </message>
    <message>
        <source>at</source>
        <translation>in quel momento</translation>
    </message>
    <message>
        <source>min</source>
        <translation>minimo</translation>
    </message>
    <message>
        <source>max</source>
        <translation>massimo</translation>
    </message>
    <message>
        <source>range</source>
        <translation>escursione</translation>
    </message>
    <message>
        <source>mean</source>
        <translation>media</translation>
    </message>
    <message>
        <source>time_of_min</source>
        <translation>istante del minimo</translation>
    </message>
    <message>
        <source>time_of_max</source>
        <translation>istante del massimo</translation>
    </message>
    <message>
        <source>share_of_max</source>
        <translation>quota del massimo</translation>
    </message>
    <message>
        <source>just_before</source>
        <translation>subito prima</translation>
    </message>
    <message>
        <source>included</source>
        <translation>compreso</translation>
    </message>
    <message>
        <source>flexion</source>
        <translation>flessione</translation>
    </message>
    <message>
        <source>signed</source>
        <translation>con segno</translation>
    </message>
    <message>
        <source>place</source>
        <translation>posizione</translation>
    </message>
    <message>
        <source>angle</source>
        <translation>angolo</translation>
    </message>
    <message>
        <source>distance</source>
        <translation>distanza</translation>
    </message>
    <message>
        <source>low</source>
        <translation>basso</translation>
    </message>
    <message>
        <source>high</source>
        <translation>alto</translation>
    </message>
    <message>
        <source>foil tip</source>
        <translation>punta del fioretto</translation>
    </message>
    <message>
        <source>arrow tip</source>
        <translation>punta della freccia</translation>
    </message>
    <message>
        <source>arrow tail</source>
        <translation>cocca della freccia</translation>
    </message>
</context>
<context>
    <name>words</name>
    <message>
        <source> (draft)</source>
        <translation> (bozza)</translation>
    </message>
    <message>
        <source>by hand</source>
        <translation>a mano</translation>
    </message>
    <message>
        <source>carried from them</source>
        <translation>riportati da essi</translation>
    </message>
    <message>
        <source>drafted by the machine</source>
        <translation>in bozza dalla macchina</translation>
    </message>
    <message>
        <source>filled in or by proxy</source>
        <translation>riempiti o dedotti</translation>
    </message>
    <message>
        <source>%1 marks %2</source>
        <translation>%1 segni %2</translation>
    </message>
    <message>
        <source>%1 to %2</source>
        <translation>da %1 a %2</translation>
    </message>
    <message>
        <source>at least %1</source>
        <translation>almeno %1</translation>
    </message>
    <message>
        <source>at most %1</source>
        <translation>al massimo %1</translation>
    </message>
    <message>
        <source>no limit</source>
        <translation>nessun limite</translation>
    </message>
    <message>
        <source>from the model</source>
        <translation>dal modello</translation>
    </message>
    <message>
        <source>from literature</source>
        <translation>dalla letteratura</translation>
    </message>
    <message>
        <source>common practice</source>
        <translation>pratica comune</translation>
    </message>
    <message>
        <source>set by the coach</source>
        <translation>fissata dall&apos;allenatore</translation>
    </message>
    <message>
        <source>inside the band</source>
        <translation>dentro la fascia</translation>
    </message>
    <message>
        <source>too little</source>
        <translation>troppo poco</translation>
    </message>
    <message>
        <source>too much</source>
        <translation>troppo</translation>
    </message>
    <message>
        <source>perhaps %1</source>
        <translation>forse %1</translation>
    </message>
    <message>
        <source>not judged, %1</source>
        <translation>non giudicato, %1</translation>
    </message>
    <message>
        <source>%1, band %2 %3: </source>
        <translation>%1, fascia %2 %3: </translation>
    </message>
    <message>
        <source>, %1 of %2 reps</source>
        <translation>, %1 ripetizioni su %2</translation>
    </message>
    <message>
        <source>; it feeds </source>
        <translation>; alimenta </translation>
    </message>
    <message>
        <source>%1: felt %2</source>
        <translation>%1: sentito %2</translation>
    </message>
    <message>
        <source>, not measured yet</source>
        <translation>, non ancora misurato</translation>
    </message>
    <message>
        <source>, film %1</source>
        <translation>, filmato %1</translation>
    </message>
    <message>
        <source>, %1 apart</source>
        <translation>, distanza %1</translation>
    </message>
    <message>
        <source>, seen truly</source>
        <translation>, visto giusto</translation>
    </message>
    <message>
        <source>Spread %1 from rep to rep, marking makes %2 of it: %3</source>
        <translation>Dispersione %1 fra ripetizioni, la marcatura ne fa %2: %3</translation>
    </message>
    <message>
        <source>the athlete varies</source>
        <translation>varia l&apos;atleta</translation>
    </message>
    <message>
        <source>it is the marks, not the athlete</source>
        <translation>sono i segni, non l&apos;atleta</translation>
    </message>
    <message>
        <source>athlete or marks, too few reps to tell</source>
        <translation>atleta o segni, troppo poche ripetizioni per dirlo</translation>
    </message>
    <message>
        <source>Speed did not change %1 by more than its error: %2.</source>
        <translation>La velocità non è cambiata %1 più del suo errore: %2.</translation>
    </message>
    <message>
        <source>Speed fell by %1 (%2 %) %3: rate made %4, length %5 of it; </source>
        <translation>La velocità è scesa di %1 (%2 %) %3: la frequenza ne fa %4, la lunghezza %5; </translation>
    </message>
    <message>
        <source>Speed rose by %1 (%2 %) %3: rate made %4, length %5 of it; </source>
        <translation>La velocità è salita di %1 (%2 %) %3: la frequenza ne fa %4, la lunghezza %5; </translation>
    </message>
    <message>
        <source>it is the rate.</source>
        <translation>è la frequenza.</translation>
    </message>
    <message>
        <source>it is the length.</source>
        <translation>è la lunghezza.</translation>
    </message>
    <message>
        <source>it is both.</source>
        <translation>sono entrambe.</translation>
    </message>
    <message>
        <source>since the reps it is compared with</source>
        <translation>dalle ripetizioni con cui si confronta</translation>
    </message>
    <message>
        <source>from the first third of the reps to the last</source>
        <translation>dal primo terzo delle ripetizioni all&apos;ultimo</translation>
    </message>
    <message>
        <source>%1 by %2 (%3 of it marking)</source>
        <translation>%1 di %2 (%3 dalla marcatura)</translation>
    </message>
    <message>
        <source>From rep to rep the athlete varies on %1 of %2 measures, most on: %3.</source>
        <translation>Da una ripetizione all&apos;altra l&apos;atleta varia su %1 misure di %2, soprattutto su: %3.</translation>
    </message>
    <message>
        <source>Compared with the model: there are no own reps of the wished kind yet.</source>
        <translation>Confrontato con il modello: non ci sono ancora ripetizioni proprie del tipo voluto.</translation>
    </message>
    <message>
        <source>Compared with the athlete&apos;s own best reps of earlier days.</source>
        <translation>Confrontato con le migliori ripetizioni dell&apos;atleta dei giorni precedenti.</translation>
    </message>
    <message>
        <source>Compared with the athlete&apos;s own reps of the day before.</source>
        <translation>Confrontato con le ripetizioni dell&apos;atleta del giorno prima.</translation>
    </message>
    <message>
        <source>Compared with the athlete&apos;s own reps at the least stress.</source>
        <translation>Confrontato con le ripetizioni dell&apos;atleta con meno pressione.</translation>
    </message>
    <message>
        <source>Only reps of the situation “%1” are compared.</source>
        <translation>Si confrontano solo le ripetizioni della situazione «%1».</translation>
    </message>
    <message>
        <source>Looks like “%1” (%2 of %3 faults): %4 Repair in this order.</source>
        <translation>Somiglia a «%1» (%2 difetti su %3): %4 Ripara in quest&apos;ordine.</translation>
    </message>
    <message numerus="yes">
        <source>%n sets of %1, %2 min</source>
        <comment>%n set of %1, %2 min</comment>
        <translation>
            <numerusform>%n serie da %1, %2 min</numerusform>
            <numerusform>%n serie da %1, %2 min</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n measures differ between reps by no more than marking errs (%1): there the athlete is steady as far as these marks can tell.</source>
        <comment>%n measure differs between reps by no more than marking errs (%1): there the athlete is steady as far as these marks can tell.</comment>
        <translation>
            <numerusform>%n misura differisce fra le ripetizioni non più di quanto erri la marcatura (%1): lì l&apos;atleta è costante, per quanto questi segni possano dire.</numerusform>
            <numerusform>%n misure differiscono fra le ripetizioni non più di quanto erri la marcatura (%1): lì l&apos;atleta è costante, per quanto questi segni possano dire.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>Nearer to the school “%1” in %2 of %n measures that tell the schools apart.</source>
        <comment>Nearer to the school “%1” in %2 of %n measure that tells the schools apart.</comment>
        <translation>
            <numerusform>Più vicino alla scuola «%1» in %2 su %n misura che distingue le scuole.</numerusform>
            <numerusform>Più vicino alla scuola «%1» in %2 su %n misure che distinguono le scuole.</numerusform>
        </translation>
    </message>
    <message>
        <source>In these ways: %1.</source>
        <translation>In questi modi: %1.</translation>
    </message>
    <message numerus="yes">
        <source>, film of %1, %n reps</source>
        <comment>, film of %1, %n rep</comment>
        <translation>
            <numerusform>, filmato del %1, %n ripetizione</numerusform>
            <numerusform>, filmato del %1, %n ripetizioni</numerusform>
        </translation>
    </message>
    <message>
        <source>Strengths</source>
        <translation>Punti di forza</translation>
    </message>
    <message>
        <source>none measured yet</source>
        <translation>ancora nessuno misurato</translation>
    </message>
    <message>
        <source>Findings, first things first</source>
        <translation>Rilievi, prima le cose più importanti</translation>
    </message>
    <message>
        <source>none</source>
        <translation>nessuno</translation>
    </message>
    <message>
        <source>[work on this]</source>
        <translation>[lavora su questo]</translation>
    </message>
    <message>
        <source>[expected to follow]</source>
        <translation>[dovrebbe seguire]</translation>
    </message>
    <message>
        <source>[later]</source>
        <translation>[più tardi]</translation>
    </message>
    <message>
        <source>why: %1</source>
        <translation>perché: %1</translation>
    </message>
    <message>
        <source>seen in: %1</source>
        <translation>si vede in: %1</translation>
    </message>
    <message>
        <source>Possible, not sure enough to work on</source>
        <translation>Possibili, non abbastanza certi per lavorarci</translation>
    </message>
    <message>
        <source>Cannot be decided from this film</source>
        <translation>Non si può decidere da questo filmato</translation>
    </message>
    <message>
        <source>nothing</source>
        <translation>niente</translation>
    </message>
    <message>
        <source>Steady or not</source>
        <translation>Costante o no</translation>
    </message>
    <message>
        <source>Felt and filmed</source>
        <translation>Sentito e filmato</translation>
    </message>
    <message>
        <source>Next: %1</source>
        <translation>Prossimo: %1</translation>
    </message>
    <message>
        <source>Focus</source>
        <translation>Focus</translation>
    </message>
    <message>
        <source>none yet</source>
        <translation>ancora nessuno</translation>
    </message>
    <message>
        <source>Drills in order</source>
        <translation>Esercizi in ordine</translation>
    </message>
    <message>
        <source>caution: %1</source>
        <translation>avvertenza: %1</translation>
    </message>
    <message>
        <source>The plan</source>
        <translation>Il piano</translation>
    </message>
    <message>
        <source>(at home)</source>
        <translation>(a casa)</translation>
    </message>
    <message>
        <source>Gate of %1: %2</source>
        <translation>Soglia di %1: %2</translation>
    </message>
    <message>
        <source>%1 min</source>
        <translation>%1 min</translation>
    </message>
</context>
</TS>
