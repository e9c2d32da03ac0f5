import { readFileSync } from 'node:fs';
import { programmes, type Programme } from '@estribo/core/programmes';
import { chooseStops, placesOf, stopsSettingOf } from '@estribo/core/setting';
import { parseNeutralZero } from '@estribo/core/measuring';
import { benchOrder, elasticAngle, heatRun, placeProblems, type FrameLimits } from '@estribo/core/shaping';
import { en } from './en';
import { enFamilies } from './en-families';
import { checkWords, listName, operationWords, settingWords, stepWords, wearLine } from './fitting';

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
  'K2 strap surplus': (k2) => /Fold .*cut only when the swelling has gone/.test(step(k2, 'closure-tabs')),
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
      settingWords(s2, 'low-panel-in').how,
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
  // only of a leg that bears weight: a line of wearing, never a check's cure
  'A2 wear gait': (a2) => /walk heel to toe/.test(wearLine(a2, 'heel-to-toe')),
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
  'K7 set wheel step mm': (k7) => correctionOf(k7).increment === 0.5,
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
  'C2 set dial until': (c2) =>
    /until the pad touches, neck in the ordered position/.test(sets(c2, 'chin-dial')),
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

/* What the other families measure, strap, check and wear. */
const allFamilies: Record<string, string> = {
  ...families,
  ...setFamilies,
  ...shapeFamilies,
  K1: 'knee-sleeve',
  A1: 'ankle-stabiliser',
};
const family = (code: string) => programmes.find(({ id }) => id === allFamilies[code])!;
const stepOf = (programme: Programme, id: string, list?: string) =>
  listOf(programme, list).steps.find((one) => one.id === id);
const readsAt = (programme: Programme, id: string) => programme.measuring.find((one) => one.id === id);
const kneeIn = (programme: Programme, id: string) => stepOf(programme, id)?.posture?.joints?.knee;
const distanceOf = (programme: Programme, id: string) => {
  const found = programme.checks.find((one) => one.id === id);
  return found?.kind === 'distance' ? found : undefined;
};
const wears = (programme: Programme, id: string) => programme.wear?.find((line) => line.id === id);
const said = (programme: Programme, id: string) => wearLine(programme, id);
const straps = (programme: Programme) => programme.parts.filter(({ kind }) => kind === 'strap');
const threeFingersAt = (programme: Programme, id: string) => {
  const found = programme.checks.find((one) => one.id === id);
  return found?.kind === 'fingers' && found.least === 3 && found.most === 3;
};

const restStated: Record<string, (programme: Programme) => boolean> = {
  'K1 measure posture of the patient': (k1) => {
    const stance = k1.measuring.find(({ kind }) => kind === 'stance');
    return stance?.kind === 'stance' && stance.stance === 'standing' && stance.others!.includes('seated');
  },
  'K1 measure knee angle by goniometer': (k1) => {
    const posture = readsAt(k1, 'knee-posture');
    return posture?.kind === 'posture' && posture.target === 30;
  },
  'K1 measure landmark': () => /between thumb and index/.test(enFamilies.landmarkHow['mid-kneecap']),
  'K1 measure girth above at distance mm': (k1) => {
    const girth = readsAt(k1, 'girth-above');
    return girth?.kind === 'girth' && girth.from === 'mid-kneecap' && girth.distance === 140;
  },
  'K1 measure girth below at distance mm': (k1) => {
    const girth = readsAt(k1, 'girth-below');
    return girth?.kind === 'girth' && girth.from === 'mid-kneecap' && girth.distance === -120;
  },
  'K1 strap knee while drawn up': (k1) => kneeIn(k1, 'draw-up') === 20,
  'K1 strap both thumbs in the side loops drawn up steadily': (k1) =>
    inOrder(k1, ['thumbs-in-loops', 'draw-up']) && /Steadily/.test(step(k1, 'draw-up')),
  'K1 check pad’s inner rim level with the lower edge of the kneecap': (k1) => {
    const rim = distanceOf(k1, 'pad-rim-at-lower-pole');
    return rim?.at?.from === 'kneecap-lower-pole' && rim.from! < 0 && rim.to! > 0;
  },
  'K1 check creases': (k1) => check(k1, 'no-creases').startsWith('No creases'),
  'K1 check look again not after min': (k1) =>
    k1.checks
      .find(({ id }) => id === 'no-creases')!
      .moments!.some(({ is, notAfter }) => is === 'later' && notAfter === 30),
  'K4 strap knee angle while donning': (k4) => kneeIn(k4, 'strap-1') === 30 && k4.donning === 30,
  'K4 strap foot': (k4) => /foot flat/.test(step(k4, 'open-all')),
  'K4 strap order of straps': (k4) =>
    inOrder(k4, ['strap-1', 'strap-2', 'strap-3', 'strap-4', 'strap-5', 'strap-6']) &&
    [
      /behind the calf/,
      /behind, above the knee/,
      /behind the hamstrings/,
      /in front, below the knee/,
      /behind, below the knee/,
      /in front, above the knee/,
    ].every((where, i) => where.test(step(k4, `strap-${i + 1}`))),
  'K4 strap before strap 1': (k4) => order(k4).indexOf('shin-cuff-flat') === order(k4).indexOf('strap-1') - 1,
  'K4 strap before strap 3': (k4) =>
    order(k4).indexOf('thigh-cuff-flat') === order(k4).indexOf('strap-3') - 1,
  'K4 strap posture at strap 6': (k4) =>
    stepOf(k4, 'strap-6')?.posture?.stance === 'standing' && /knee straight/.test(step(k4, 'strap-6')),
  'K4 strap tension': (k4) => check(k4, 'equal-tension') !== '' && /same pull/.test(step(k4, 'strap-1')),
  'K4 strap strap end and strap pad finish': (k4) =>
    straps(k4).every(
      (part) => part.kind === 'strap' && part.ends?.finish === 'mid-limb' && part.ends.pad === true,
    ),
  'K4 strap strap shortened from': (k4) =>
    straps(k4).every((part) => part.kind === 'strap' && part.ends?.shortened === 'hook-end'),
  'K4 strap rear cruciate': (k4) =>
    JSON.stringify(listOf(k4).when) ===
    JSON.stringify({ kind: 'not', of: { kind: 'injury', is: 'rear-cruciate' } }),
  'K4 strap settle min': (k4) => {
    const settle = stepOf(k4, 'warm-up');
    return settle?.kind === 'settle' && settle.minutes === 5;
  },
  'K4 strap second pass posture': (k4) => {
    const [pass] = listOf(k4).passes!;
    return pass!.posture?.stance === 'seated' && pass!.posture.joints?.knee === 30;
  },
  'K4 strap second pass': (k4) =>
    listOf(k4).passes![0]!.after === 'warm-up' &&
    listOf(k4).passes![0]!.steps === undefined &&
    /each strap loosened and tightened in order/.test(step(k4, 'warm-up')),
  'K4 check hinge centre': (k4) => /line across the top of the kneecap/.test(check(k4, 'hinge-height')),
  'K4 off order of straps': (k4) =>
    /from 1 to 6/.test(step(k4, 'open-in-order')) &&
    stepOf(k4, 'open-in-order', 'taking-off')!.over!.parts.join() ===
      [1, 2, 3, 4, 5, 6].map((n) => `strap-${n}`).join() &&
    /hook folded back on its own strap/.test(step(k4, 'open-in-order')),
  'K5 size upright': (k5) =>
    k5.parts
      .filter(({ kind }) => kind === 'bar')
      .map(({ id }) => id)
      .join() === 'upright-lateral',
  'K5 strap tightening': (k5) =>
    stepOf(k5, 'straps-in-order')!.holds!.parts.join() === 'hinge-lateral' &&
    /held against turning by a hand at the hinge/.test(step(k5, 'straps-in-order')),
  'K5 strap thigh straps': (k5) =>
    /not over-tight at the thigh/.test(step(k5, 'straps-in-order')) && check(k5, 'thigh-not-tight') !== '',
  'K5 strap later donnings': (k5) => /closed by its buckles only/.test(step(k5, 'straps-stay')),
  'K5 check hinge centre': (k5) => /top of the kneecap/.test(check(k5, 'hinge-height')),
  'K5 check hinge against the side midline': (k5) => distanceOf(k5, 'hinge-behind-midline')!.from! > 0,
  'K5 strap suspension wrap upper edge above the strap under the knee mm': (k5) => {
    const wrap = distanceOf(k5, 'wrap-above-strap')!;
    return wrap.from! < 13 && 13 < wrap.to! && /13 mm/.test(step(k5, 'wrap-on'));
  },
  'K5 wear first day min': (k5) => wears(k5, 'for-weight-bearing')?.firstDay === 30,
  'K5 wear worn for': (k5) => wears(k5, 'for-weight-bearing')?.rule === 'weight-bearing',
  'K6 strap order of straps': (k6) =>
    inOrder(k6, ['strap-1', 'strap-2', 'strap-3', 'strap-4']) &&
    [/above the calf/, /middle of the calf/, /lower thigh/, /upper thigh/].every((where, i) =>
      where.test(step(k6, `strap-${i + 1}`)),
    ),
  'K8 strap knee angle while donning': (k8) => kneeIn(k8, 'strap-1') === 30,
  'K8 strap foot': (k8) => /foot flat/.test(step(k8, 'dial-to-zero')),
  'K8 strap order of straps': (k8) =>
    inOrder(k8, ['strap-1', 'strap-2', 'strap-3', 'strap-4', 'strap-5', 'strap-6']) &&
    [
      /thigh, above the knee/,
      /shin, below the knee/,
      /lower shin/,
      /upper thigh/,
      /through the ring/,
      /through the ring/,
    ].every((where, i) => where.test(step(k8, `strap-${i + 1}`))),
  'K8 strap ring': (k8) => /Hold the ring while it is pulled/.test(step(k8, 'strap-5')),
  'K9 measure girth above the middle of the knee mm': (k9) => {
    const girth = readsAt(k9, 'girth-above');
    return girth?.kind === 'girth' && girth.distance === 150;
  },
  'K9 measure taken on which side': (k9) => {
    const girth = readsAt(k9, 'girth-above');
    return girth?.kind === 'girth' && girth.along === 'medial';
  },
  'K9 wear conservative at most min a day at first': (k9) =>
    wears(k9, 'two-hours-at-first')?.mostAtFirst === 120,
  'K9 wear after surgery': (k9) =>
    wears(k9, 'whenever-bearing-weight')?.rule === 'weight-bearing' &&
    /whenever the leg bears weight/.test(said(k9, 'whenever-bearing-weight')),
  'S1 measure length': (s1) =>
    reads(s1, 'c7-to-sacrum', 'c7', 'sacrum') && readsAt(s1, 'c7-to-sacrum')?.kind === 'curve',
  'S1 measure posture': (s1) => readsAt(s1, 'upright-hands-supported')?.kind === 'stance',
  'S1 strap front pad’s lower edge': (s1) => /on the pubic bone/.test(step(s1, 'front-pad-low')),
  'S1 strap waist straps': (s1) => {
    const waist = stepOf(s1, 'waist-straps-provisional')!;
    return waist.over?.how === 'in-turn' && waist.kind === 'strap' && waist.pull === 'provisional';
  },
  'S1 strap cut first': (s1) => inOrder(s1, ['fold-waist-straps', 'cut-waist', 'cut-shoulders']),
  'S1 strap cut next': (s1) => inOrder(s1, ['cut-waist', 'fold-shoulder-straps', 'cut-shoulders']),
  'S1 strap waist straps end': (s1) =>
    straps(s1)
      .filter(({ id }) => id.startsWith('waist-strap'))
      .every((part) => part.kind === 'strap' && part.ends?.finish === 'side'),
  'S1 strap shoulder closure lies': (s1) =>
    /between loop and front pad/.test(step(s1, 'fold-shoulder-straps')),
  'S1 strap middle elastic strap height': (s1) => /lower ribs/.test(step(s1, 'middle-elastic-strap')),
  'S1 strap its loop': (s1) => /loop behind the armpit/.test(step(s1, 'middle-elastic-strap')),
  'S1 check under each shoulder strap': (s1) => threeFingersAt(s1, 'fingers-under-shoulder-straps'),
  'S1 check between neck and upper edge': (s1) => threeFingersAt(s1, 'fingers-at-the-neck'),
  'S1 strap shoulder cuff cut-out': (s1) => /base of the armpit/.test(step(s1, 'cuff-at-the-armpit')),
  'S3 check upper and lower edge before the pulls': (s3) =>
    inOrder(s3, ['edges-both-snug', 'tension']) && /both snug/.test(step(s3, 'edges-both-snug')),
  'S3 strap chest strap': (s3) =>
    /Only to keep the shoulder straps out of the armpits/.test(step(s3, 'chest-strap-last')),
  'S4 measure girth above the widest hips mm': (s4) => {
    const girth = readsAt(s4, 'girth-hips');
    return girth?.kind === 'girth' && girth.from === 'hips-greatest-girth' && girth.distance === 25;
  },
  'S4 size between sizes': (s4) => s4.between === 'larger',
  'S4 strap put on': (s4) =>
    stepOf(s4, 'over-the-head')?.posture?.stance === 'standing' &&
    /shoulder straps at their longest/.test(step(s4, 'over-the-head')),
  'S4 strap shoulder straps adjusted first at': (s4) => /rear ends first/.test(step(s4, 'rear-strap-ends')),
  'S4 check front edge': (s4) => /pubic symphysis/.test(check(s4, 'edge-at-the-symphysis')),
  'S4 strap compression looked at again after min': (s4) => {
    const again = stepOf(s4, 'again-after-five');
    return (
      again?.kind === 'settle' && again.minutes === 5 && listOf(s4).passes![0]!.steps!.includes('compress')
    );
  },
  'S5 strap waist groove': (s5) => /above the iliac crests/.test(step(s5, 'groove-over-crests')),
  'S5 strap overlap': (s5) => /Front over back/.test(step(s5, 'front-over-back')),
  'S5 strap order of straps': (s5) =>
    inOrder(s5, ['middle-straps', 'bottom-straps', 'top-straps'], 'lying-log-roll'),
  'S5 strap breath at each strap': (s5) =>
    ['middle-straps', 'bottom-straps', 'top-straps'].every(
      (id) => stepOf(s5, id, 'lying-log-roll')?.breath === 'held' && /breath in, held/.test(step(s5, id)),
    ),
  'S5 strap straps': (s5) =>
    ['right', 'left'].every((side) => straps(s5).filter(({ id }) => id.endsWith(side)).length === 3),
  'S5 strap seated donning': (s5) =>
    stepOf(s5, 'one-side-stays-closed', 'seated-secured')!.over!.parts.length === 3,
  'S5 wear at night': (s5) => wears(s5, 'out-of-bed')?.nights === 'off',
  'S5 wear day': (s5) =>
    wears(s5, 'out-of-bed')?.rule === 'all-day' && /out of bed/.test(said(s5, 'out-of-bed')),
  'S5 wear beneath': (s5) => /shirt beneath/.test(said(s5, 'shirt-beneath')) && order(s5)[0] === 'shirt-on',
  'S5 check left and right': (s5) =>
    s5.checks.find(({ id }) => id === 'level-left-and-right')?.kind === 'alike',
  'C1 size child by': (c1) => ['age', 'weight', 'stature'].every((axis) => c1.axes.includes(axis)),
  'C1 measure adult': (c1) => reads(c1, 'trapezius-to-chin', 'trapezius-top', 'chin-line'),
  'C1 strap openings’ peaks': (c1) => /openings’ peaks down/.test(step(c1, 'print-upright')),
  'C1 strap first': (c1) => inOrder(c1, ['rear-first', 'front-under-the-chin']),
  'C1 strap rear straps': (c1) => /midway between trapezius and ear/.test(step(c1, 'rear-first')),
  'C1 strap front flexible tabs': (c1) =>
    /bent out/.test(step(c1, 'tabs-bent-out')) && /Slightly/.test(step(c1, 'tabs-bent-out')),
  'C1 strap rear edges': (c1) => /bent inward/.test(step(c1, 'edges-bent-inward')),
  'C1 check strap ends': (c1) => c1.checks.find(({ id }) => id === 'strap-ends-alike')?.kind === 'alike',
  'C1 check neck': (c1) => {
    const neck = c1.checks.find(({ id }) => id === 'neck-is-neutral');
    return neck?.kind === 'quantity' && neck.unit === 'degrees' && neck.least === -5 && neck.most === 5;
  },
  'C2 size sizes': (c2) => c2.axes.length === 0 && c2.measuring.length === 0,
  'C2 strap order': setStated['C2 strap order']!,
  'C2 strap before the rear panel slides in': (c2) =>
    order(c2).indexOf('press-the-mattress') === order(c2).indexOf('slide-the-rear-panel') - 1,
  'C2 strap hook area': (c2) => /midway between ear and trapezius/.test(step(c2, 'slide-the-rear-panel')),
  'C2 check chin': (c2) => /level with the liner/.test(check(c2, 'chin-level-with-liner')),
  'C2 check front panel': (c2) => /level with the ribs/.test(check(c2, 'panel-level-with-ribs')),
  'A1 measure width': (a1) => {
    const heel = readsAt(a1, 'heel-width');
    return heel?.kind === 'width' && heel.at === 'heel';
  },
  'A1 size sides': (a1) => /Left and right differ/.test(settingWords(a1, 'side-sign').how),
  'A1 strap before donning': (a1) => order(a1)[0] === 'open-both-straps',
  'A1 strap outer shell': (a1) => /Outer shell before the malleolus/.test(step(a1, 'foot-in-shells')),
  'A1 strap inner shell': (a1) => /inner one behind it/.test(step(a1, 'foot-in-shells')),
  'A1 strap upper strap': (a1) => {
    const upper = stepOf(a1, 'round-above');
    return upper?.kind === 'strap' && upper.pull === 'light' && /round/.test(step(a1, 'round-above'));
  },
  'A1 strap lower strap': (a1) =>
    /figure of eight/.test(step(a1, 'eight-below')) && /up through the eye/.test(step(a1, 'eight-below')),
  'A1 check foot lifted': (a1) =>
    /does not cut in/.test(check(a1, 'tongue-does-not-cut')) &&
    /foot lifted/.test(check(a1, 'tongue-does-not-cut')),
  'A1 check standing': (a1) =>
    a1.checks
      .find(({ id }) => id === 'no-creases-standing')!
      .moments!.map(({ is }) => is)
      .join() === 'standing',
};
/** Rows that a model states (server/src/demo/models.test.ts). */
const restByModel = [
  'K1 size table',
  'K1 size supply',
  'K5 size sizes',
  'S3 size side extensions reach about mm',
  'C1 size adult sizes',
  'C1 size child sizes',
];

test.each(Object.keys(restStated))('%s', (row) =>
  expect(restStated[row]!(family(row.split(' ')[0]!))).toBe(true),
);

test('every row of the facts is met by a line, here or above, or by a model', () => {
  const rowsOf = facts.map(
    ({ family: code, stage, fact }) => `${code} ${stage} ${fact.replaceAll("'", '’')}`,
  );
  const met = new Set([
    ...Object.keys(stated),
    ...Object.keys(elsewhere),
    ...Object.keys(setStated),
    ...setByModel,
    ...Object.keys(shapeStated),
    ...Object.keys(restStated),
    ...restByModel,
  ]);
  expect(rowsOf.filter((row) => !met.has(row))).toEqual([]);
  expect([...met].filter((row) => !rowsOf.includes(row))).toEqual([]);
});
