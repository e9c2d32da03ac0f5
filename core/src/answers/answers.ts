import { array, boolean, mixed, number, object, string, type InferType } from 'yup';
import { languages, roles } from '../access';
import { regionNames, sides } from '../anatomy';
import type { ChartChange } from '../exchange';
import type { FindingAhead } from '../findings';
import {
  closingReasons,
  visitPurposes,
  type AnyRecordedEntry,
  type FittedLabel,
  type Ribbon,
  type StageCover,
} from '../logbook';
import { stages, type Stage } from '../record';
import type { SizeMatch } from '../sizing';
import { wearRuleSchema } from '../wearing';

/*
 * What the server answers, stated once: the server sends it, the screens take it, and neither can mean something else by a
 * name. A field that is more than is stated here is let pass: an older screen in front of a newer server goes on working.
 */

const text = () => string().strict().required();
const textOrNone = () => string().strict().nullable().defined();
const yes = () => boolean().strict().required();
const whole = () => number().strict().integer().required();
/** What has its own rules and is judged where it is read: entries by the fold, ribbons by what draws them. */
const kept = <T extends object>() =>
  mixed<T>((value): value is T => typeof value === 'object' && value !== null).required();
const listOf = <T extends object>() => array().of(kept<T>()).required();

const role = string().strict().oneOf(roles).required();
const pin = { id: text(), version: whole(), hash: text() };

const listedPerson = {
  id: text(),
  givenName: text(),
  familyName: text(),
  born: text(),
  /** every number of the clinic they are known by, the oldest first; none yet for who waits to be sent */
  numbers: array().of(whole()).required(),
};
export const person = object({
  ...listedPerson,
  /** who was found to be the same person, and until when that can be undone */
  merged: array().of(
    object({
      id: text(),
      givenName: text(),
      familyName: text(),
      born: text(),
      number: whole(),
      undoneUntil: text(),
    }),
  ),
});
export type Person = InferType<typeof person>;

/** Who may be the same as somebody who is to be added. */
export const doubles = object({
  doubles: array()
    .of(
      object({
        ...listedPerson,
        likeness: string()
          .strict()
          .oneOf(['same', 'likely'] as const)
          .required(),
      }),
    )
    .required(),
});
export type Double = InferType<typeof doubles>['doubles'][number];

export const personHistory = object({
  changes: array()
    .of(
      object({
        n: whole(),
        at: text(),
        by: textOrNone(),
        byName: textOrNone(),
        action: text(),
        number: whole(),
        before: mixed<Record<string, unknown>>(),
        now: mixed<Record<string, unknown>>(),
      }),
    )
    .required(),
});

export const session = object({
  user: object({
    id: text(),
    name: text(),
    role,
    language: string().strict().oneOf(languages),
    /** mm; null: never laid on a ruler */
    threeFingers: number().strict().nullable(),
  })
    .nullable()
    .default(undefined)
    .defined(),
  /** nobody is at the machine: it asks who is */
  locked: boolean().strict(),
  /** the server's clock */
  now: string().strict(),
  /** who has signed in at this machine today, and may take over by PIN */
  here: array().of(object({ id: text(), login: text(), name: text(), role, hasPin: yes() })),
  clinic: object({
    name: string().strict().defined(),
    zone: text(),
    /** whom the patient calls, and whom in an emergency */
    phone: string().strict().nullable(),
    emergency: string().strict().nullable(),
    /** the clinic's own rule for wearing that grows; none ships */
    wearRule: wearRuleSchema.nullable().default(undefined),
    /** what stands under the name on sheets and letters */
    letterhead: string().strict().nullable(),
  }).required(),
  /** there is no clinic yet: the first administrator is asked for */
  setUp: boolean().strict(),
});
export type Session = InferType<typeof session>;
export type SignedIn = NonNullable<Session['user']>;

const summary = object({
  case: text(),
  person: text(),
  personName: text(),
  born: text(),
  number: whole(),
  modelName: text(),
  modelId: text(),
  programme: text(),
  region: string().strict().oneOf(regionNames).required(),
  side: string().strict().oneOf(sides).required(),
  /** for those who may read it */
  stage: string().strict().oneOf(stages).nullable().defined(),
  blocked: yes(),
  /** which finding blocks, for those who may read it */
  blockedBy: textOrNone(),
  size: textOrNone(),
  firstVisit: textOrNone(),
  /** the user who has it in hand */
  keeper: text(),
  closed: string().strict().oneOf(closingReasons).nullable().defined(),
  lastDay: textOrNone(),
  labels: listOf<FittedLabel>(),
  ribbon: kept<Ribbon>(),
  /** the most urgent thing found in it, for those who may read it */
  finding: mixed<NonNullable<FindingAhead['found']>>().nullable().defined(),
});
export type CaseSummary = InferType<typeof summary>;

export const casesPage = object({ cases: array().of(summary).required(), more: yes() });
export const benchPage = casesPage.shape({ today: text(), from: text() });

export const peoplePage = object({ people: array().of(object(listedPerson)).required(), more: yes() });

/** The cases of a person, those written to last first. */
export const casesOfPerson = object({
  cases: array()
    .of(
      object({
        case: text(),
        side: string().strict().oneOf(sides).required(),
        region: string().strict().oneOf(regionNames).required(),
        modelName: text(),
        modelId: text(),
        programme: text(),
        stage: string().strict().oneOf(stages).nullable().defined(),
        size: textOrNone(),
        closed: yes(),
        lastDay: textOrNone(),
      }),
    )
    .required(),
});
export type CaseOfPerson = InferType<typeof casesOfPerson>['cases'][number];

const visit = object({
  id: text(),
  person: text(),
  personName: text(),
  born: text(),
  number: whole(),
  /** null for somebody who has no case yet */
  case: textOrNone(),
  side: string().strict().oneOf(sides).nullable().defined(),
  region: string().strict().oneOf(regionNames).nullable().defined(),
  modelName: textOrNone(),
  keeper: textOrNone(),
  stage: string().strict().oneOf(stages).nullable().defined(),
  day: text(),
  time: textOrNone(),
  purpose: string().strict().oneOf(visitPurposes).required(),
  /** for those who read the record */
  note: textOrNone(),
  /** for everybody who sees visits; absent from an older server */
  deskNote: string().strict().nullable(),
  by: text(),
  state: string()
    .strict()
    .oneOf(['planned', 'kept', 'cancelled'] as const)
    .required(),
});
export type ListedVisit = InferType<typeof visit>;
export const visitsPage = object({ today: text(), visits: array().of(visit).required(), more: yes() });

export const staff = object({
  staff: array()
    .of(object({ id: text(), name: text(), role }))
    .required(),
});

/** Everybody who may sign in. */
export const users = object({
  users: array()
    .of(
      object({
        id: text(),
        login: text(),
        name: text(),
        role,
        active: yes(),
        threeFingers: number().strict().nullable().defined(),
        hasPin: yes(),
        /** until when a code that was given is good */
        codeUntil: textOrNone(),
        /** how many machines they are signed in at */
        sessions: whole(),
      }),
    )
    .required(),
});
export const givenCode = object({ code: text(), until: text() });
export type ListedUser = InferType<typeof users>['users'][number];

export const auditPage = object({
  lines: array()
    .of(
      object({
        n: whole(),
        at: text(),
        user: textOrNone(),
        userName: textOrNone(),
        action: text(),
        subject: text(),
        /** of a user */
        subjectName: textOrNone(),
        fields: array().of(text()).required(),
      }),
    )
    .required(),
  more: yes(),
});
export type AuditLine = InferType<typeof auditPage>['lines'][number];

/** A family as the catalogue lists it; a title and a base only for a clinic's own. */
const family = object({
  ...pin,
  region: string().strict().oneOf(regionNames).required(),
  title: string().strict(),
  base: string().strict(),
  /** how far it carries each stage */
  stages: kept<Record<Stage, StageCover>>(),
  /** models in the choice */
  models: whole(),
});
export const catalogue = object({ families: array().of(family).required() });

/** A model in its newest version, as the catalogue lists it. */
const listedModel = object({
  ...pin,
  name: text(),
  maker: text(),
  /** the family's id */
  programme: text(),
  region: string().strict().oneOf(regionNames).required(),
  invented: yes(),
  sizes: whole(),
  findings: whole(),
  retired: yes(),
});
export type ListedModel = InferType<typeof listedModel>;
export const modelsPage = object({ models: array().of(listedModel).required(), more: yes() });
export const versions = object({
  versions: array()
    .of(object({ hash: text(), version: whole() }))
    .required(),
});

/** The clinic's own schedules. */
export const phaseTemplates = object({
  templates: array()
    .of(object({ id: text(), name: text(), text: text(), invented: yes() }))
    .required(),
});

const fit = object({
  model: object({ ...pin, name: text(), maker: text(), invented: yes() }).required(),
  family: object({ id: text(), title: string().strict() }).required(),
  match: kept<SizeMatch>(),
  /** some of its readings were read at other distances */
  estimated: yes(),
  missing: array().of(text()).required(),
});
export type RankedModel = InferType<typeof fit>;
export const fits = object({ fits: array().of(fit).required(), more: yes() });

const instrument = object({
  id: text(),
  kind: text(),
  name: text(),
  calibratedOn: text(),
  validDays: whole(),
  offset: number().strict().required(),
  simulated: yes(),
});
export type ListedInstrument = InferType<typeof instrument>;
export const instruments = object({ instruments: array().of(instrument).required() });
export const calibrations = object({
  calibrations: array()
    .of(
      object({
        n: whole(),
        calibratedOn: text(),
        offset: number().strict().required(),
        by: textOrNone(),
        at: text(),
      }),
    )
    .required(),
});

/** What is kept of backups, and when the record was last sealed. */
const backup = object({
  n: whole(),
  at: text(),
  /** '' when none came of it */
  file: string().strict().defined(),
  bytes: number().strict().required(),
  folder: textOrNone(),
  nightly: yes(),
  /** why none came of it */
  problem: textOrNone(),
  drilledAt: textOrNone(),
  drillProblem: textOrNone(),
});
export const keeping = object({
  backups: array().of(backup).required(),
  /** what an operator types on the server to back up this clinic */
  command: text(),
  /** where one is put every night; null: nowhere */
  folder: textOrNone(),
  keep: whole(),
  /** the newest one that was restored on trial */
  drilled: backup.nullable().default(undefined).defined(),
  /** free on the server's disk, in bytes */
  free: number().strict().nullable().defined(),
  low: yes(),
  sealedAt: textOrNone(),
  cases: whole(),
  now: text(),
});

export const provenCase = object({ person: person.required(), proof: object({ holds: yes() }).required() });

/** An entry as it was recorded. */
export const taken = object({ entry: kept<AnyRecordedEntry>() });
/** What was posted and taken: of an entry, as it was recorded; of a person or a visit, nothing more than that. */
export const posted = mixed<{ entry?: AnyRecordedEntry }>(
  (value): value is { entry?: AnyRecordedEntry } => typeof value === 'object' && value !== null,
);

export const entriesPage = object({
  entries: listOf<AnyRecordedEntry>(),
  /** the seq up to which the page reaches, whatever was erased of it */
  next: whole(),
  more: yes(),
});

/** A programme or a model under its hash. */
export const content = object({ id: text(), version: whole() });

export const repeatability = object({
  own: object({
    pairs: whole(),
    withinPerson: number().strict().required(),
    coefficient: number().strict().required(),
  })
    .nullable()
    .default(undefined)
    .defined(),
});

/** A temperature log as the sensor's file. */
export const sensorFile = object({ csv: string().strict().defined() });

/** What a file has changed. */
export const importDone = object({ imported: array().required(), unchanged: whole() });

/** What a file would change. */
export const importPreview = object({
  changed: array()
    .of(object({ id: text(), version: whole(), name: text(), changes: listOf<ChartChange>() }))
    .required(),
  unchanged: whole(),
});
export type ChangedModel = InferType<typeof importPreview>['changed'][number];
