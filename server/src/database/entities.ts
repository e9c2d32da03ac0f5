import { EntitySchema } from 'typeorm';
import type { Language, Role } from '@estribo/core/access';
import type { Region } from '@estribo/core/anatomy';
import type { ClinicDay } from '@estribo/core/calendar';
import type { FindingAhead } from '@estribo/core/findings';
import type { ClosingReason, FittedLabel, Ribbon, VisitPurpose } from '@estribo/core/logbook';
import type { Stage } from '@estribo/core/record';
import type { ClinicWearRule } from '@estribo/core/wearing';

const uuid = { type: 'char', length: 36 } as const;
const hash = { type: 'char', length: 64 } as const;
const instant = { type: 'datetime', precision: 3 } as const;

/** A foreign key, named as the migrations name it. */
const refers = (name: string, column: string, target: string, referenced = 'id') => ({
  name,
  target,
  columnNames: [column],
  referencedColumnNames: [referenced],
  onDelete: 'NO ACTION' as const,
  onUpdate: 'NO ACTION' as const,
});

export interface Clinic {
  id: number;
  name: string;
  zone: string;
  /** whom the patient calls, and when; printed on the sheets */
  phone: string | null;
  /** whom in an emergency */
  emergency: string | null;
  /** the clinic's own rule for wearing that grows; none ships */
  wearRule: ClinicWearRule | null;
  /** what stands under the clinic's name on its sheets and letters: address, registration */
  letterhead: string | null;
}
export const clinicEntity = new EntitySchema<Clinic>({
  name: 'clinic',
  columns: {
    id: { type: 'int', primary: true },
    name: { type: 'varchar', length: 120 },
    zone: { type: 'varchar', length: 64 },
    phone: { type: 'varchar', length: 120, nullable: true },
    emergency: { type: 'varchar', length: 120, nullable: true },
    wearRule: { type: 'json', nullable: true },
    letterhead: { type: 'varchar', length: 400, nullable: true },
  },
});

export interface User {
  id: string;
  login: string;
  name: string;
  role: Role;
  passwordHash: string;
  active: boolean;
  language: Language;
  /** how broad three of the user's fingers are, mm; null: never measured */
  threeFingers: number | null;
  /** by it somebody takes over at a machine where they signed in this day */
  pinHash: string | null;
  /** a code that is good for one sign-in, by which a password is chosen, and until when */
  codeHash: string | null;
  codeUntil: Date | null;
}
export const userEntity = new EntitySchema<User>({
  name: 'user',
  columns: {
    id: { ...uuid, primary: true },
    // matched exactly: small letters, digits, dots and hyphens
    login: { type: 'varchar', length: 60, charset: 'ascii', collation: 'ascii_bin' },
    name: { type: 'varchar', length: 120 },
    role: { type: 'varchar', length: 20 },
    passwordHash: { type: 'varchar', length: 255 },
    active: { type: 'boolean' },
    language: { type: 'varchar', length: 8, default: 'en' },
    threeFingers: { type: 'float', nullable: true },
    pinHash: { type: 'varchar', length: 255, nullable: true },
    codeHash: { type: 'varchar', length: 255, nullable: true },
    codeUntil: { ...instant, nullable: true },
  },
  indices: [{ name: 'user_login', columns: ['login'], unique: true }],
});

/** A session as columns: who it belongs to, since when, whether the machine is locked. */
export interface SessionRow {
  sid: string;
  /** the machine it is of, the same one when somebody else takes over there */
  machine: string;
  user: string;
  began: Date;
  expiresAt: Date;
  /** nobody is at the machine */
  locked: boolean;
}
export const sessionEntity = new EntitySchema<SessionRow>({
  name: 'session',
  columns: {
    sid: { type: 'varchar', length: 64, primary: true },
    machine: uuid,
    user: uuid,
    began: instant,
    expiresAt: instant,
    locked: { type: 'boolean' },
  },
  indices: [
    { name: 'session_expires', columns: ['expiresAt'] },
    { name: 'session_user', columns: ['user'] },
    { name: 'session_machine', columns: ['machine'] },
  ],
});

/** Who has signed in on a machine with a password, when, and how many wrong PINs were tried there since. */
export interface MachineUserRow {
  machine: string;
  user: string;
  at: Date;
  wrong: number;
}
export const machineUserEntity = new EntitySchema<MachineUserRow>({
  name: 'machine_user',
  columns: {
    machine: { ...uuid, primary: true },
    user: { ...uuid, primary: true },
    at: instant,
    wrong: { type: 'int' },
  },
  indices: [
    { name: 'machine_user_user', columns: ['user'] },
    { name: 'machine_user_at', columns: ['at'] },
  ],
});

export interface Person {
  id: string;
  givenName: string;
  familyName: string;
  /** both orders of the name, so that a search by its beginning finds an index */
  givenFirst: string;
  familyFirst: string;
  born: ClinicDay;
  /** the clinic's running number, given when the person is entered */
  number: number;
  /** the person that this one is the same as; nothing of it is moved, so that it can be undone */
  mergedInto: string | null;
  mergedAt: Date | null;
}
export const personEntity = new EntitySchema<Person>({
  name: 'person',
  columns: {
    id: { ...uuid, primary: true },
    givenName: { type: 'varchar', length: 80 },
    familyName: { type: 'varchar', length: 80 },
    givenFirst: { type: 'varchar', length: 161 },
    familyFirst: { type: 'varchar', length: 161 },
    born: { type: 'date' },
    number: { type: 'int', generated: 'increment' },
    mergedInto: { ...uuid, nullable: true },
    mergedAt: { ...instant, nullable: true },
  },
  foreignKeys: [refers('person_is', 'mergedInto', 'person')],
  indices: [
    { name: 'person_number', columns: ['number'], unique: true },
    { name: 'person_merged', columns: ['mergedInto'] },
    { name: 'person_born', columns: ['born'] },
    { name: 'person_given_first', columns: ['givenFirst'] },
    { name: 'person_family_first', columns: ['familyFirst', 'id'] },
  ],
});

/** A word by which a person is found; computed from the person and those merged into it. */
export interface PersonWord {
  word: string;
  person: string;
}
export const personWordEntity = new EntitySchema<PersonWord>({
  name: 'person_word',
  columns: {
    word: { type: 'varchar', length: 40, primary: true, charset: 'ascii', collation: 'ascii_bin' },
    person: { ...uuid, primary: true },
  },
  indices: [{ name: 'person_word_person', columns: ['person'] }],
  foreignKeys: [refers('person_word_of', 'person', 'person')],
});

/** A word by which a case is found: those of its person, of its brace, of the labels that were read. */
export interface CaseWord {
  word: string;
  case: string;
}
export const caseWordEntity = new EntitySchema<CaseWord>({
  name: 'case_word',
  columns: {
    word: { type: 'varchar', length: 40, primary: true, charset: 'ascii', collation: 'ascii_bin' },
    case: { ...uuid, primary: true },
  },
  indices: [{ name: 'case_word_case', columns: ['case'] }],
  foreignKeys: [refers('case_word_of', 'case', 'case')],
});

export const visitStates = ['planned', 'kept', 'cancelled'] as const;
export type VisitState = (typeof visitStates)[number];

/**
 * A visit on its day. Of a case the rows are computed from its entries, and may be rebuilt at any time; a visit of somebody
 * who has no case yet is kept here alone.
 */
export interface VisitRow {
  id: string;
  person: string;
  case: string | null;
  day: ClinicDay;
  /** HH:MM */
  time: string | null;
  purpose: VisitPurpose;
  /** for those who read the record */
  note: string | null;
  noteBy: string | null;
  /** for everybody who sees visits */
  deskNote: string | null;
  deskNoteBy: string | null;
  /** who planned it, or changed it last */
  by: string;
  state: VisitState;
}
export const visitEntity = new EntitySchema<VisitRow>({
  name: 'visit',
  columns: {
    id: { ...uuid, primary: true },
    person: uuid,
    case: { ...uuid, nullable: true },
    day: { type: 'date' },
    time: { type: 'varchar', length: 5, nullable: true },
    purpose: { type: 'varchar', length: 12 },
    note: { type: 'varchar', length: 400, nullable: true },
    noteBy: { ...uuid, nullable: true },
    deskNote: { type: 'varchar', length: 400, nullable: true },
    deskNoteBy: { ...uuid, nullable: true },
    by: uuid,
    state: { type: 'varchar', length: 10 },
  },
  indices: [
    { name: 'visit_day', columns: ['day', 'time', 'id'] },
    { name: 'visit_person', columns: ['person', 'day'] },
    { name: 'visit_case', columns: ['case'] },
  ],
  foreignKeys: [refers('visit_of_person', 'person', 'person'), refers('visit_of_case', 'case', 'case')],
});

/** Content a case may hold on to: programmes and models, by hash, never changed. */
export interface Registered {
  hash: string;
  sort: 'programme' | 'model';
  id: string;
  version: number;
  body: object;
}
export const registeredEntity = new EntitySchema<Registered>({
  name: 'registered',
  columns: {
    hash: { ...hash, primary: true },
    sort: { type: 'varchar', length: 12 },
    id: { type: 'varchar', length: 80 },
    version: { type: 'int' },
    body: { type: 'json' },
  },
  indices: [{ name: 'registered_version', columns: ['sort', 'id', 'version'], unique: true }],
});

/** The newest version of each model, as the catalogue lists it; computed from what is registered. */
export interface ModelRow {
  id: string;
  version: number;
  hash: string;
  name: string;
  maker: string;
  programme: string;
  region: Region;
  invented: boolean;
  sizes: number;
  /** findings of the chart's lint */
  findings: number;
  /** taken out of the choice for new cases; cases that hold on to it keep it */
  retired: boolean;
}
export const modelEntity = new EntitySchema<ModelRow>({
  name: 'model',
  columns: {
    id: { type: 'varchar', length: 80, primary: true },
    version: { type: 'int' },
    hash,
    name: { type: 'varchar', length: 80 },
    maker: { type: 'varchar', length: 80 },
    programme: { type: 'varchar', length: 80 },
    region: { type: 'varchar', length: 10 },
    invented: { type: 'boolean' },
    sizes: { type: 'int' },
    findings: { type: 'int' },
    retired: { type: 'boolean' },
  },
  foreignKeys: [refers('model_registered', 'hash', 'registered', 'hash')],
  indices: [
    { name: 'model_hash', columns: ['hash'] },
    { name: 'model_programme', columns: ['programme', 'name', 'id'] },
    { name: 'model_region', columns: ['region', 'name', 'id'] },
    { name: 'model_name', columns: ['name', 'id'] },
    { name: 'model_maker', columns: ['maker', 'name'] },
  ],
});

/** A measuring instrument with its calibration. */
export interface InstrumentRow {
  id: string;
  kind: string;
  name: string;
  calibratedOn: ClinicDay;
  /** days until it is due again */
  validDays: number;
  /** read too much by this, in its unit */
  offset: number;
  simulated: boolean;
}
/** One calibration of an instrument; the newest one is the instrument's own. */
export interface CalibrationRow {
  n: number;
  instrument: string;
  calibratedOn: ClinicDay;
  offset: number;
  by: string | null;
  at: Date;
}
export const calibrationEntity = new EntitySchema<CalibrationRow>({
  name: 'calibration',
  columns: {
    n: { type: 'int', primary: true, generated: 'increment' },
    instrument: { type: 'varchar', length: 80 },
    calibratedOn: { type: 'date' },
    offset: { type: 'double' },
    by: { ...uuid, nullable: true },
    at: instant,
  },
  indices: [{ name: 'calibration_instrument', columns: ['instrument', 'n'] }],
  foreignKeys: [refers('calibration_of', 'instrument', 'instrument')],
});

export const instrumentEntity = new EntitySchema<InstrumentRow>({
  name: 'instrument',
  columns: {
    id: { type: 'varchar', length: 80, primary: true },
    kind: { type: 'varchar', length: 20 },
    name: { type: 'varchar', length: 80 },
    calibratedOn: { type: 'date' },
    validDays: { type: 'int' },
    offset: { type: 'double' },
    simulated: { type: 'boolean' },
  },
});

/** First two readings of a step on a side of a case: what the clinic's own repeatability is computed from. */
export interface PairRow {
  case: string;
  step: string;
  side: string;
  protocol: string;
  first: number;
  second: number;
}
export const pairEntity = new EntitySchema<PairRow>({
  name: 'reading_pair',
  columns: {
    case: { ...uuid, primary: true },
    step: { type: 'varchar', length: 80, primary: true },
    side: { type: 'varchar', length: 8, primary: true },
    protocol: { type: 'varchar', length: 160 },
    first: { type: 'double' },
    second: { type: 'double' },
  },
  indices: [{ name: 'reading_pair_protocol', columns: ['protocol'] }],
  foreignKeys: [refers('reading_pair_case', 'case', 'case')],
});

export interface CaseRow {
  id: string;
  person: string;
  programmeHash: string;
  modelHash: string;
  /** seq and chain hash of the newest entry; the row is locked while one is appended */
  seq: number;
  head: string;
  /** keyed hash over the row; '' until a case of an older version is taken over */
  mac: string;
  /** it was written to since the last seal of the clinic */
  unsealed: boolean;
}
export const caseEntity = new EntitySchema<CaseRow>({
  name: 'case',
  columns: {
    id: { ...uuid, primary: true },
    person: uuid,
    programmeHash: hash,
    modelHash: hash,
    seq: { type: 'int' },
    head: hash,
    mac: { type: 'varchar', length: 64 },
    unsealed: { type: 'boolean' },
  },
  indices: [
    { name: 'case_person', columns: ['person'] },
    { name: 'case_programme', columns: ['programmeHash'] },
    { name: 'case_model', columns: ['modelHash'] },
    { name: 'case_unsealed', columns: ['unsealed', 'id'] },
  ],
  foreignKeys: [
    refers('case_of_person', 'person', 'person'),
    refers('case_of_programme', 'programmeHash', 'registered', 'hash'),
    refers('case_of_model', 'modelHash', 'registered', 'hash'),
  ],
});

export interface EntryRow {
  case: string;
  seq: number;
  id: string;
  /** the entry as it was sent, in canonical JSON; gone when the case was erased */
  content: string | null;
  salt: string | null;
  salted: string;
  hash: string;
  receivedAt: Date;
  /** what the server computed when a decision came out otherwise on arrival, as JSON */
  otherwise: string | null;
  /** keyed hash over what the chain does not cover; '' until an older version's entry is taken over */
  mac: string;
}
export const entryEntity = new EntitySchema<EntryRow>({
  name: 'entry',
  columns: {
    case: { ...uuid, primary: true },
    seq: { type: 'int', primary: true },
    id: uuid,
    content: { type: 'longtext', nullable: true },
    salt: { ...hash, nullable: true },
    salted: hash,
    hash,
    receivedAt: instant,
    otherwise: { type: 'longtext', nullable: true },
    mac: { type: 'varchar', length: 64 },
  },
  indices: [{ name: 'entry_id', columns: ['id'], unique: true }],
  foreignKeys: [refers('entry_of_case', 'case', 'case')],
});

/** One row a case, computed from its entries in the transaction that appends; may be rebuilt at any time. */
export interface Summary {
  case: string;
  person: string;
  personKey: string;
  modelName: string;
  modelId: string;
  programme: string;
  region: Region;
  side: string;
  stage: Stage;
  blockedBy: string | null;
  size: string | null;
  /** the next day the patient comes in */
  firstVisit: ClinicDay | null;
  ribbon: Ribbon;
  /** how urgent the first thing found in it is: 2 an emergency, 1 today, 0 may wait */
  urgent: number;
  /** the most urgent thing found in it, from each day on */
  findings: FindingAhead[];
  /** who has the case in hand */
  keeper: string;
  /** why it is closed */
  closed: ClosingReason | null;
  /** the day of what was observed last */
  lastDay: ClinicDay;
  /** what stands on the labels of what was fitted */
  labels: FittedLabel[];
  seq: number;
  engine: number;
}
export const summaryEntity = new EntitySchema<Summary>({
  name: 'summary',
  columns: {
    case: { ...uuid, primary: true },
    person: uuid,
    personKey: { type: 'varchar', length: 161 },
    modelName: { type: 'varchar', length: 80 },
    modelId: { type: 'varchar', length: 80 },
    programme: { type: 'varchar', length: 80 },
    region: { type: 'varchar', length: 10 },
    side: { type: 'varchar', length: 8 },
    stage: { type: 'varchar', length: 10 },
    blockedBy: { type: 'varchar', length: 80, nullable: true },
    size: { type: 'varchar', length: 20, nullable: true },
    firstVisit: { type: 'date', nullable: true },
    ribbon: { type: 'json' },
    urgent: { type: 'tinyint' },
    findings: { type: 'json' },
    keeper: uuid,
    closed: { type: 'varchar', length: 12, nullable: true },
    lastDay: { type: 'date' },
    labels: { type: 'json' },
    seq: { type: 'int' },
    engine: { type: 'int' },
  },
  indices: [
    { name: 'summary_first_visit', columns: ['firstVisit', 'case'] },
    { name: 'summary_urgent', columns: ['urgent', 'firstVisit', 'case'] },
    { name: 'summary_person', columns: ['person'] },
    { name: 'summary_person_key', columns: ['personKey', 'case'] },
    { name: 'summary_model_name', columns: ['modelName', 'case'] },
    { name: 'summary_last_day', columns: ['closed', 'lastDay'] },
    { name: 'summary_engine', columns: ['engine', 'case'] },
  ],
  foreignKeys: [refers('summary_of_case', 'case', 'case')],
});

/** A seal over the clinic: a keyed hash over the one before and the heads of the cases written to since. */
export interface SealRow {
  n: number;
  at: Date;
  /** how many cases it names */
  cases: number;
  mac: string;
  /** how many lines of the audit it covers, and a hash over them; null in a seal of before version 8 of the schema */
  auditLines: number | null;
  auditHash: string | null;
  /** it says that a back-up was restored whose newest seal is this one: the numbers between are lost */
  restoredTo: number | null;
}
export const sealEntity = new EntitySchema<SealRow>({
  name: 'seal',
  columns: {
    n: { type: 'int', primary: true },
    at: instant,
    cases: { type: 'int' },
    mac: hash,
    auditLines: { type: 'int', nullable: true },
    auditHash: { type: 'varchar', length: 64, nullable: true },
    restoredTo: { type: 'int', nullable: true },
  },
});

/** A case's head as a seal names it. A case that is gone stays named: no foreign key. */
export interface SealHeadRow {
  seal: number;
  case: string;
  seq: number;
  head: string;
}
export const sealHeadEntity = new EntitySchema<SealHeadRow>({
  name: 'seal_head',
  columns: {
    seal: { type: 'int', primary: true },
    case: { ...uuid, primary: true },
    seq: { type: 'int' },
    head: hash,
  },
  indices: [{ name: 'seal_head_case', columns: ['case', 'seal'] }],
  foreignKeys: [refers('seal_head_of_seal', 'seal', 'seal', 'n')],
});

/** What was done by whom: reads of cases, failed sign-ins, changes to users, people, instruments, catalogue. */
export interface AuditRow {
  n: number;
  at: Date;
  /** the user's id; null when nobody was signed in */
  user: string | null;
  action: string;
  /** the id of what it was done to */
  subject: string;
  /** what changed, as JSON: of a person it holds what stood there before */
  detail: string | null;
  /** the seal that covers it; null until the next one */
  seal: number | null;
}
export const auditEntity = new EntitySchema<AuditRow>({
  name: 'audit',
  columns: {
    n: { type: 'int', primary: true, generated: 'increment' },
    at: instant,
    user: { ...uuid, nullable: true },
    action: { type: 'varchar', length: 40 },
    subject: { type: 'varchar', length: 80 },
    detail: { type: 'longtext', nullable: true },
    seal: { type: 'int', nullable: true },
  },
  indices: [
    { name: 'audit_seal', columns: ['seal', 'n'] },
    { name: 'audit_subject', columns: ['subject', 'n'] },
    { name: 'audit_action', columns: ['action', 'n'] },
    { name: 'audit_user', columns: ['user', 'n'] },
  ],
});

/** A schedule of the clinic's own, as it was written. */
export interface PhaseTemplateRow {
  id: string;
  name: string;
  text: string;
  /** it came with the demonstration */
  invented: boolean;
}
export const phaseTemplateEntity = new EntitySchema<PhaseTemplateRow>({
  name: 'phase_template',
  columns: {
    id: { ...uuid, primary: true },
    name: { type: 'varchar', length: 80 },
    text: { type: 'varchar', length: 2000 },
    invented: { type: 'boolean' },
  },
  indices: [{ name: 'phase_template_name', columns: ['name'], unique: true }],
});

/** A back-up that was made or tried, by hand or by the clinic itself at night. */
export interface BackupRow {
  n: number;
  at: Date;
  /** '' when none came of it */
  file: string;
  bytes: number;
  /** where it lies; null of one made before that was noted */
  folder: string | null;
  nightly: boolean;
  /** why none came of it */
  problem: string | null;
  /** when it was restored into a second database on trial, and what did not hold then */
  drilledAt: Date | null;
  drillProblem: string | null;
}
export const backupEntity = new EntitySchema<BackupRow>({
  name: 'backup',
  columns: {
    n: { type: 'int', primary: true, generated: 'increment' },
    at: instant,
    file: { type: 'varchar', length: 255 },
    bytes: { type: 'double' },
    folder: { type: 'varchar', length: 400, nullable: true },
    nightly: { type: 'boolean' },
    problem: { type: 'varchar', length: 400, nullable: true },
    drilledAt: { ...instant, nullable: true },
    drillProblem: { type: 'varchar', length: 400, nullable: true },
  },
});

/** How this database is kept: which secret it is sealed with, where the clinic backs itself up, in which form its record is. */
export interface KeepingRow {
  id: number;
  /** a hash by the clinic's secret, by which another clinic's secret is told apart; null until the next start */
  keyMark: string | null;
  /** where a back-up is put every night; null: none is made */
  folder: string | null;
  /** so many nightly back-ups are kept */
  keep: number;
  /** the newest repair of the record that was carried out */
  recordForm: number;
}
export const keepingEntity = new EntitySchema<KeepingRow>({
  name: 'keeping',
  columns: {
    id: { type: 'int', primary: true },
    keyMark: { type: 'varchar', length: 64, nullable: true },
    folder: { type: 'varchar', length: 400, nullable: true },
    keep: { type: 'int' },
    recordForm: { type: 'int' },
  },
});

export const entities = [
  clinicEntity,
  userEntity,
  sessionEntity,
  machineUserEntity,
  personEntity,
  registeredEntity,
  modelEntity,
  instrumentEntity,
  calibrationEntity,
  pairEntity,
  caseEntity,
  entryEntity,
  summaryEntity,
  sealEntity,
  sealHeadEntity,
  auditEntity,
  phaseTemplateEntity,
  personWordEntity,
  caseWordEntity,
  visitEntity,
  backupEntity,
  keepingEntity,
];
