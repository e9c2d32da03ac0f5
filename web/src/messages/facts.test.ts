import { readFileSync } from 'node:fs';
import { programmes, type Programme } from '@estribo/core/programmes';
import { chooseStops, placesOf, stopsSettingOf } from '@estribo/core/setting';
import { parseNeutralZero } from '@estribo/core/measuring';
import { benchOrder, elasticAngle, heatRun, placeProblems, type FrameLimits } from '@estribo/core/shaping';
import { en } from './en';
import { checkWords, listName, operationWords, settingWords, stepWords } from './fitting';

// common practice, no source: facts of the trade written apart from the programmes, brought in as they stand
const facts = readFileSync('core/src/programmes/facts.csv', 'utf8')
  .trim()
  .split(/\r?\n/)
  .slice(1)
  .map((line) => {
    // four columns, none quoted
    const [family, stage, fact, value, ...more] = line.split(',');
    if (value === undefined || more.length > 0) throw new Error(`not four columns: ${line}`);
    return { family: family!, stage: stage!, fact: fact!, value };
  });

const families: Record<string, string> = {
  K2: 'knee-postop',
  K3: 'knee-ligament-frame',
  S2: 'spine-belt',
  H1: 'shoulder-support',
  A2: 'ankle-walker',
};
const programmeOf = (family: string): Programme => programmes.find(({ id }) => id === families[family])!;

const listOf = (programme: Programme, id?: string) =>
  programme.sequences.find((list) => (id === undefined ? list.purpose === 'first-donning' : list.id === id))!;
/** The steps of a list in their order. */
const order = (programme: Programme, id?: string) => listOf(programme, id).steps.map((step) => step.id);
/** Whether steps come in this order in the list, whatever stands between. */
const inOrder = (programme: Programme, ids: readonly string[], list?: string) => {
  const at = ids.map((id) => order(programme, list).indexOf(id));
  return at.every((place, i) => place >= 0 && (i === 0 || place > at[i - 1]!));
};
const step = (programme: Programme, id: string) => {
  const { name, hold, caution = '' } = stepWords(programme, id);
  return `${name}. ${hold} ${caution}`;
};
const check = (programme: Programme, id: string) => {
  const found = programme.checks.find((one) => one.id === id);
  const { name, how = '' } = checkWords(programme, id);
  return found ? `${name}. ${how}` : '';
};
const setting = (programme: Programme, id: string) => programme.settings.find((one) => one.id === id);
const reads = (programme: Programme, id: string, from: string, to: string) => {
  const found = programme.measuring.find((one) => one.id === id);
  return found !== undefined && 'to' in found && found.from === from && found.to === to;
};
const partAt = (programme: Programme, id: string) => programme.parts.find((part) => part.id === id);

/** Each fact with the data or the words that state it: a row without a line here fails. */
const stated: Record<string, (programme: Programme) => boolean> = {
  'K2 strap brace opened flat before the leg is laid on it': (k2) =>
    inOrder(k2, ['lay-flat', 'lay-leg-in']) && order(k2)[0] === 'lay-flat',
  'K2 strap shorter part': (k2) => /shorter part goes to the thigh/.test(step(k2, 'lay-leg-in')),
  'K2 strap uprights against the side midline': (k2) => {
    const hinge = partAt(k2, 'hinge-lateral');
    return hinge?.kind === 'hinge' && hinge.at.aside === undefined && check(k2, 'on-the-midline') !== '';
  },
  'K2 strap slack behind taken out': (k2) =>
    inOrder(k2, ['slack-behind', 'buckle-upper-calf']) && /Strap by strap/.test(step(k2, 'slack-behind')),
  'K2 strap first buckle': (k2) =>
    listOf(k2).steps.find(({ kind }) => kind === 'strap')?.id === 'buckle-upper-calf',
  'K2 strap buckle closed is known by': (k2) =>
    listOf(k2)
      .steps.filter(({ kind }) => kind === 'strap')
      .every(({ id }) => /click/.test(step(k2, id))),
  'K2 strap surplus': (k2) => /Fold or cut/.test(step(k2, 'closure-tabs')),
  'K2 strap closure tab ends': (k2) => /closure tab ends at the front/.test(step(k2, 'closure-tabs')),
  'K3 strap worn over': (k3) => /On the skin, nothing beneath/.test(step(k3, 'open-all')),
  'K3 strap knee angle while donning': (k3) =>
    listOf(k3).steps.find(({ id }) => id === 'draw-on')?.posture?.joints?.knee === 45,
  'K3 strap order of straps': (k3) =>
    inOrder(k3, ['strap-1', 'strap-2', 'press-hinges', 'strap-3', 'strap-4', 'strap-5', 'strap-6']),
  'K3 strap knee at straps 1 and 2': (k3) =>
    listOf(k3)
      .steps.filter(({ id }) => id === 'strap-1' || id === 'strap-2')
      .every(({ posture }) => Number(posture?.joints?.knee) > 0),
  'K3 strap walk then second pass': (k3) => listOf(k3).passes?.[0]?.after === 'settling-walk',
  'K3 check hinge middle': (k3) => /kneecap’s upper edge/.test(check(k3, 'hinge-height')),
  'K3 check hinge against the side midline': (k3) => {
    const hinge = partAt(k3, 'hinge-lateral');
    return hinge?.kind === 'hinge' && hinge.at.aside! < 0 && check(k3, 'hinge-behind-midline') !== '';
  },
  'K3 check strap 5': (k3) => /above the calf’s largest girth/.test(check(k3, 'strap-above-calf')),
  'K3 check turned on the leg': (k3) => checkWords(k3, 'not-twisted').no === 'Twisted',
  'S2 strap lying': (s2) =>
    inOrder(s2, ['roll-away', 'tuck-near-wing', 'roll-back'], 'lying-log-roll') &&
    /wing folded/.test(step(s2, 'tuck-near-wing')),
  'S2 strap alone': (s2) => /seated at the couch’s edge/.test(listName(s2, 'seated-alone')),
  'S2 strap pulls': (s2) => step(s2, 'both-pulls').startsWith('Both pulls together'),
  'S2 strap belt with two plain ends': (s2) => /Right over left/.test(step(s2, 'close-belt')),
  'S2 check lower edge': (s2) =>
    /lumbosacral joint, or as low as is comfortable/.test(check(s2, 'lower-edge-low')),
  'H1 strap pad’s upper edge': (h1) => /level with the shoulder’s top/.test(step(h1, 'pad-on-the-joint')),
  'H1 strap course of the upper rear strap': (h1) =>
    /neck, opposite armpit, abdomen/.test(step(h1, 'upper-loose')),
  'H1 strap course of the lower strap': (h1) => /Round the back to the front/.test(step(h1, 'lower-loose')),
  'H1 strap alone': (h1) =>
    inOrder(
      h1,
      ['edge-out', 'arm-through', 'straps-over-head', 'upper-loose', 'under-the-arm', 'upper-tight'],
      'alone',
    ),
  'A2 strap air before donning': (a2) => inOrder(a2, ['air-out', 'into-the-liner', 'air-in']),
  'A2 strap heel': (a2) =>
    /Heel flush/.test(step(a2, 'into-the-liner')) && /flush in the boot/.test(step(a2, 'into-the-boot')),
  'A2 strap strut strips pulled': (a2) =>
    inOrder(a2, ['load-the-heel', 'strut-strips']) &&
    listOf(a2).steps.find(({ id }) => id === 'strut-strips')?.posture?.joints?.ankle === 'as-ordered',
  'A2 strap order of straps': (a2) =>
    inOrder(a2, ['strap-toes', 'strap-instep', 'strap-ankle', 'strap-shin', 'strap-calf']),
  'A2 strap forefoot strap with a foot fracture': (a2) => /Looser/.test(step(a2, 'strap-toes')),
  'A2 strap trousers inside': (a2) => /No trousers inside/.test(step(a2, 'long-sock')),
  'K2 set both uprights': (k2) => {
    const length = setting(k2, 'upright-length');
    return length?.kind === 'length' && placesOf(length).length === 2 && length.axes[0]!.within! <= 2;
  },
  'K2 set strap carriers': (k2) => {
    const carriers = setting(k2, 'strap-carriers');
    return carriers?.kind === 'mark' && placesOf(carriers).length === 2;
  },
  'K2 set buttons after setting': (k2) =>
    /buttons fully out/i.test(settingWords(k2, 'upright-length').how) &&
    /fully out/.test(en.setting.fitHow.dial),
  'K2 set upright while locked': (k2) =>
    setting(k2, 'knee-lock')?.kind === 'lock' && /must not turn/.test(settingWords(k2, 'knee-lock').caution!),
  'K2 shape bend of one bar above and below the hinge': (k2) =>
    /same angle above and below/.test(operationWords(k2, 'bend-uprights').how),
  'K2 shape bent while on the leg': (k2) =>
    k2.operations?.find(({ id }) => id === 'bend-uprights')?.off === true &&
    /never on the leg/i.test(operationWords(k2, 'bend-uprights').caution!),
  'S2 set step-down': (s2) =>
    /tall panel out, low one in at the foot of the pocket, surplus folded/i.test(
      operationWords(s2, 'step-down').how,
    ),
  'S2 shape felt end never trimmed': (s2) => /open window/.test(operationWords(s2, 'cut-panels').caution!),
  'K2 review hinge forward': (k2) =>
    /back to the midline, slack out behind/.test(checkWords(k2, 'hinge-on-the-knee').fix),
  'K2 review slides down': (k2) =>
    /snug, on the midline, the lower part lengthened toward the malleoli/.test(
      checkWords(k2, 'hinge-on-the-knee').fix,
    ),
  'K3 set extension piece installed': (k3) => stopsSettingOf(k3)?.leastExtension === 0,
  // chosen whatever is ordered, hyperextension too
  'K3 set extension piece may be left out': (k3) => {
    const choice = chooseStops({ extension: -10 }, { extension: [0, 10], flexion: [] }, stopsSettingOf(k3)!);
    return choice.ok && choice.stops.extension === 0;
  },
  'K3 review order of causes when it slips': (k3) =>
    /hinge height first, then strap 5, then the pads inside the hinges, then clothing beneath/.test(
      step(k3, 'settling-walk'),
    ),
  'S2 measure tall': (s2) => reads(s2, 't9-to-sacrococcygeal', 't9', 'sacrococcygeal-junction'),
  'S2 measure low': (s2) => reads(s2, 'l1-to-l5', 'l1', 'l5'),
  'S2 set both wings': (s2) => {
    const ends = setting(s2, 'belt-ends');
    return ends?.kind === 'mark' && placesOf(ends).join() === 'right,left';
  },
  'H1 measure motions first': (h1) =>
    h1.measuring
      .slice(0, 2)
      .every((one) => one.kind === 'motion' && (one.plane === 'frontal' || one.plane === 'transverse')),
  'H1 measure written as': () => parseNeutralZero('120-0-30') !== undefined,
  'H1 measure girth': (h1) => {
    const girth = h1.measuring.find(({ id }) => id === 'girth-upper-arm');
    const elbow = h1.measuring.find((one) => one.kind === 'posture' && one.joint === 'elbow');
    return (
      girth?.kind === 'girth' &&
      girth.from === 'upper-arm-greatest-girth' &&
      elbow?.kind === 'posture' &&
      Number(elbow.target) > 0
    );
  },
  'A2 set ankle unless ordered otherwise': (a2) => {
    const angle = setting(a2, 'ankle-angle');
    return angle?.kind === 'angle' && angle.unlessOrdered === 0;
  },
  'A2 set strokes of air': (a2) => {
    const air = setting(a2, 'strokes-of-air');
    return air?.kind === 'fill' && air.least === 4 && air.most === 5;
  },
  'A2 set top up every days': (a2) => {
    const air = setting(a2, 'strokes-of-air');
    return air?.kind === 'fill' && air.everyDays === 2;
  },
  'A2 wear other foot': (a2) => /flat, ordinary shoe/.test(check(a2, 'soles-level')),
  'A2 wear gait': (a2) => /Heel to toe/.test(checkWords(a2, 'soles-level').fix),
  'A2 check toes': (a2) => /warm, moving, felt/.test(check(a2, 'toes-warm-moving-felt')),
};

/** Rows of these families that a model states (server/src/demo/models.test.ts) or that nothing states yet. */
const elsewhere: Record<string, string> = {
  'K2 set extension dial range': 'the model',
  'K2 set flexion dial range': 'the model',
  'K2 set lock angles': 'the model',
  'H1 size sizes': 'the model',
  'H1 size sides': 'the model',
  'K3 shape pads of strap 4': 'the model',
};

const rows = facts
  .filter(({ family }) => family in families)
  .map(({ family, stage, fact, value }) => [family, stage, fact.replaceAll("'", '’'), value] as const)
  .filter(([family, stage, fact]) => !(`${family} ${stage} ${fact}` in elsewhere));

test.each(rows)('%s, %s: %s is %s', (family, stage, fact) => {
  const line = stated[`${family} ${stage} ${fact}`];
  if (!line) throw new Error(`no line states ${family} ${stage} ${fact}`);
  expect(line(programmeOf(family))).toBe(true);
});

test('every line is about a row, and what stands elsewhere is one as well', () => {
  const all = facts
    .filter(({ family }) => family in families)
    .map(({ family, stage, fact }) => `${family} ${stage} ${fact.replaceAll("'", '’')}`);
  expect([...Object.keys(stated), ...Object.keys(elsewhere)].sort()).toEqual(all.sort());
});

/* What the other families set, and the order in which the lists stand that a setting is made in. */
const setFamilies: Record<string, string> = {
  K4: 'knee-functional',
  K5: 'unloader-one-screw',
  K6: 'unloader-two-screws',
  K7: 'unloader-thumbwheel',
  K8: 'unloader-wrap',
  K9: 'unloader-frame',
  S3: 'spine-pull-tab',
  S4: 'spine-sternal-pad',
  C2: 'neck-two-post',
};
const correctionOf = (programme: Programme) => {
  const found = programme.settings.find((one) => one.kind === 'correction');
  if (found?.kind !== 'correction') throw new Error('no correction');
  return found;
};
const movesOf = (programme: Programme) => correctionOf(programme).moves!;
const sets = (programme: Programme, id: string) => {
  const { name, how } = settingWords(programme, id);
  return `${name}. ${how}`;
};
const kneeAt = (programme: Programme, move: number, angle: number) =>
  movesOf(programme)[move]!.posture?.joints?.knee === angle;

const setStated: Record<string, (programme: Programme) => boolean> = {
  'K4 set medial and lateral': (k4) =>
    stopsSettingOf(k4)!.axes[0]!.go === 'alike' && /identical/.test(sets(k4, 'hinge-stops')),
  'K5 set stock brace first': (k5) =>
    correctionOf(k5).origin === 'neutral' && movesOf(k5)[0]!.goal.kind === 'neutral',
  'K5 set made to measure': (k5) => /comes preset and is not set to neutral/.test(sets(k5, 'screw')),
  'K5 set knee angle while correcting': (k5) => kneeAt(k5, 1, 90) && kneeAt(k5, 2, 90),
  'K5 set posture while correcting': (k5) => movesOf(k5)[1]!.posture?.stance === 'seated',
  'K5 set first step turns': (k5) => correctionOf(k5).firstChange === 1 / 4,
  'K5 set further step at most turns': (k5) => correctionOf(k5).perChange === 1 / 8,
  'K5 set clockwise relieves': (k5) => correctionOf(k5).ways!.clockwise === 'relieves-lateral',
  'K5 set anticlockwise relieves': (k5) => correctionOf(k5).ways!.anticlockwise === 'relieves-medial',
  'K5 set after each step': (k5) =>
    correctionOf(k5).felt === true &&
    movesOf(k5)
      .slice(1)
      .every(({ then }) => then === 'walk'),
  'K5 set at discomfort': () => /go back a little/.test(en.setting.tooMuchDoes),
  'K5 set stops': (k5) =>
    JSON.stringify(stopsSettingOf(k5)!.when) ===
    JSON.stringify({ kind: 'ordered', what: 'motion', is: 'limited' }),
  'K6 set first step turns on each screw': (k6) => correctionOf(k6).firstChange === 1 / 8,
  'K6 set order of screws': (k6) => movesOf(k6)[1]!.order!.join('|') === 'upper|lower',
  'K6 set further step at most turns on each screw': (k6) => correctionOf(k6).perChange === 1 / 8,
  'K6 set knee angle while correcting': (k6) => kneeAt(k6, 1, 90),
  'K7 set wheel range mm': (k7) =>
    correctionOf(k7).unit === 'mm' && correctionOf(k7).least === 0 && correctionOf(k7).most === 8,
  'K7 set wheel step mm': (k7) => correctionOf(k7).step === 0.5,
  'K7 set clockwise': (k7) => correctionOf(k7).ways!.clockwise === 'pad-inward',
  'K7 set knee while set': (k7) => Number(movesOf(k7)[1]!.posture?.joints?.knee) > 0,
  'K7 set large gel pad': (k7) => /On the wheel’s side/.test(sets(k7, 'gel-pad-side')),
  'K8 set dial before the first donning': (k8) =>
    movesOf(k8)[0]!.goal.kind === 'neutral' && order(k8)[0] === 'dial-to-zero',
  'K8 set clockwise': (k8) => correctionOf(k8).ways!.clockwise === 'presses',
  'K9 set extension piece may be left out': (k9) => stopsSettingOf(k9)!.always === true,
  'K9 set neutral posture': (k9) => movesOf(k9)[0]!.posture?.stance === 'seated',
  'K9 set first step posture': (k9) => movesOf(k9)[1]!.posture?.stance === 'standing',
  'K9 set first step turns on both screws': (k9) =>
    correctionOf(k9).firstChange === 1 / 4 && correctionOf(k9).axes[0]!.go === 'alike',
  'K9 set further step': (k9) =>
    correctionOf(k9).perChange === undefined && movesOf(k9)[2]!.amount === 'not-stated',
  'S3 set pulls before donning': (s3) =>
    order(s3)[0] === 'pulls-to-the-back' && /toward the back panel/i.test(step(s3, 'pulls-to-the-back')),
  'S3 set fork of the back panel': (s3) =>
    /shoulder level, just below C7/.test(step(s3, 'set-the-fork')) &&
    setting(s3, 'fork-below-c7')?.made === 'at-step',
  'S4 set sternal pad below the notch mm': (s4) => {
    const pad = setting(s4, 'sternal-pad-below-notch');
    return pad?.kind === 'height' && pad.target === 13;
  },
  'S4 set posture of the sternal bar’s setting': (s4) =>
    inOrder(s4, ['sit-as-ordered', 'set-the-sternal-pad']) &&
    /In the ordered posture/.test(step(s4, 'sit-as-ordered')),
  'C2 set dial in line with': (c2) => /sternal notch/.test(sets(c2, 'chin-dial')),
  'C2 set dial until': (c2) => /until the pad touches, neck neutral/.test(sets(c2, 'chin-dial')),
  'K4 strap order of straps': (k4) =>
    inOrder(k4, ['strap-1', 'strap-2', 'strap-3', 'strap-4', 'strap-5', 'strap-6']),
  'K6 strap order of straps': (k6) =>
    inOrder(k6, ['strap-1', 'strap-2', 'strap-3', 'strap-4']) && /above the calf/.test(step(k6, 'strap-1')),
  'K8 strap order of straps': (k8) =>
    inOrder(k8, ['strap-1', 'strap-2', 'strap-3', 'strap-4', 'strap-5', 'strap-6']) &&
    /through the ring/.test(step(k8, 'strap-6')),
  'C2 strap order': (c2) =>
    inOrder(c2, [
      'slide-the-rear-panel',
      'belt-and-flanks',
      'front-panel-on',
      'collar-on',
      'set-the-dial',
      'tuck-under-each-ear',
      'set-the-front-height',
      'clip-and-tighten',
      'trim-the-ends',
      'free-the-occipital-plates',
    ]),
};
/** Rows that a model states (server/src/demo/models.test.ts). */
const setByModel = ['K4 set extension piece installed', 'K7 set wheel range of the lateral version mm'];

const setRows = facts
  .filter(({ family, stage }) => family in setFamilies && stage === 'set')
  .map(({ family, stage, fact }) => `${family} ${stage} ${fact.replaceAll("'", '’')}`);

test.each(Object.keys(setStated))('%s', (row) => {
  const found = facts.find(
    ({ family, stage, fact }) => `${family} ${stage} ${fact.replaceAll("'", '’')}` === row,
  );
  expect(found).toBeDefined();
  expect(setStated[row]!(programmes.find(({ id }) => id === setFamilies[row.split(' ')[0]!])!)).toBe(true);
});

test('every row of what is set has a line, or its model', () =>
  expect([...Object.keys(setStated).filter((row) => / set /.test(row)), ...setByModel].sort()).toEqual(
    setRows.sort(),
  ));

/* What the other families shape. */
const shapeFamilies: Record<string, string> = {
  K6: 'unloader-two-screws',
  K9: 'unloader-frame',
  S1: 'spine-back-bar',
  S4: 'spine-sternal-pad',
  S5: 'spine-bivalve',
  C1: 'neck-collar',
};
const stageOf = (run: string, id: string) => heatRun(run)!.stages.find((one) => one.id === id)!;
const runsOf = (programme: Programme) =>
  programme.operations!.flatMap((operation) => (operation.kind === 'mould' ? (operation.runs ?? []) : []));
const unbentFrame: FrameLimits = {
  bendable: true,
  hingeZone: 40,
  reach: { proximal: 180, distal: 180 },
  increment: 4,
  total: 14,
  bar: { material: 'aluminium', thickness: 3, width: 18, spread: 60, jaw: 20, unbent: ['upright-medial'] },
};
const operation = (programme: Programme, id: string) => programme.operations!.find((one) => one.id === id);

const shapeStated: Record<string, (programme: Programme) => boolean> = {
  'K6 shape heat pack min from its start to moulding': (k6) =>
    runsOf(k6).includes('pack') &&
    stageOf('pack', 'warm').least === 120 &&
    stageOf('pack', 'warm').fromStart === true,
  'K6 shape heat pack min from its start until it comes off': () =>
    stageOf('pack', 'mould').least === 180 && stageOf('pack', 'mould').most === 240,
  'K6 shape heat gun s': (k6) =>
    runsOf(k6).includes('gun') &&
    stageOf('gun', 'heat-with-gun').least === 10 &&
    stageOf('gun', 'heat-with-gun').most === 20,
  'K6 shape heat gun and the patient': () =>
    heatRun('gun')!.heated === 'off-body' && heatRun('gun')!.stages[0]!.id === 'brace-off',
  'K6 shape hands': () =>
    stageOf('pack', 'mould').cautions.includes('gloves') &&
    stageOf('pack', 'mould').cautions.includes('padding'),
  'K6 shape strap that may hold while it cools': (k6) =>
    /strap 2 may hold/i.test(operationWords(k6, 'mould-tibial-cuff').how),
  'K9 shape hinge between the irons': () => /Never the hinge between the irons/.test(en.shaping.cautionIrons),
  // with less spread the same angle is a smaller radius, and less of it springs back
  'K9 shape irons closer together': () => {
    const bar = { material: 'aluminium', thickness: 3, width: 18 } as const;
    return elasticAngle({ ...bar, spread: 40 }) < elasticAngle({ ...bar, spread: 60 });
  },
  // which side that is, is the model's
  'K9 shape side with coronal hinges': () =>
    placeProblems('upright-medial', 80, unbentFrame).join() === 'unbent',
  'S1 shape reference of the bar’s lower edge': (s1) =>
    /sacrum’s mark/.test(operationWords(s1, 'bend-back-bar').how) &&
    /lower edge back on the mark/.test(en.shaping.cautionHand),
  'S1 shape direction': () => [{ at: 240 }, { at: 60 }].sort(benchOrder(true))[0]!.at === 60,
  'S1 shape after each step': () => /laid on the mark/.test(en.shaping.stepMade),
  'S1 shape free at the top': (s1) => {
    const room = setting(s1, 'room-at-the-top');
    return room?.kind === 'height' && room.target! >= 45 && room.target! <= 60;
  },
  'S4 shape sternal bar as supplied deg': (s4) => {
    const bend = operation(s4, 'bend-sternal-bar');
    return (
      bend?.kind === 'bend' &&
      bend.from === 15 &&
      /Slowly over a firm edge/.test(operationWords(s4, bend.id).how)
    );
  },
  'S5 shape marks': (s5) =>
    operation(s5, 'trim-shell')?.kind === 'trim' && operation(s5, 'flare-edge')?.kind === 'flare',
  'C1 shape chin pad beyond its plastic mm': (c1) => {
    const pad = operation(c1, 'chin-pad-overhang');
    return pad?.kind === 'pad' && pad.least === 10 && pad.most === 13;
  },
};

test.each(Object.keys(shapeStated))('%s', (row) =>
  expect(shapeStated[row]!(programmes.find(({ id }) => id === shapeFamilies[row.split(' ')[0]!])!)).toBe(
    true,
  ),
);

test('every row of what is shaped has a line', () =>
  expect(Object.keys(shapeStated).sort()).toEqual(
    facts
      .filter(({ family, stage }) => family in shapeFamilies && stage === 'shape')
      .map(({ family, stage, fact }) => `${family} ${stage} ${fact.replaceAll("'", '’')}`)
      .sort(),
  ));
