// Shapes that no column of the database tells: parts of what the resources answer (named there by
// `typelize`), and answers that are no record.
import type { Document, Operation, RemoteSource, ReportLine } from './api-types'
import type { Language, LetterLanguage } from './i18n'

export type { Document, Language, LetterLanguage, Operation, RemoteSource }

// What somebody may do with a memory or a termbase.
export type GivenRight = 'view' | 'add' | 'edit' | 'manage'
export type ShareRight = 'own' | GivenRight
// Preferences of the user; unset ones have their default.
// A kind of operation, as the files in app/models/operations are called.
export type OperationKind = string
export type OperationState = 'queued' | 'running' | 'done' | 'failed' | 'cancelled' | 'undone'
// Another operation on the same subject, another bulk operation of the user's, or what others have under way.
export interface WaitingFor {
  reason: 'subject' | 'own' | 'others'
  kind?: OperationKind
  count?: number
}
// What an operation came to.
export interface OperationResult {
  // How many segments, units or entries it changed.
  count?: number
  text?: string
  // Of imports.
  read?: number
  added?: number
  merged?: number
  same?: number
  updated?: number
  skipped?: number
  faulty?: number
  faults?: { line: number | null; message: string }[]
  // Of a search for candidates.
  found?: number
  // Of a pre-translation: what would come from where, and why the machine gave nothing for some.
  origins?: Record<MatchOrigin, { segments: number; words: number }>
  trouble?: string | null
  // What it made.
  delivery_id?: number
  project_id?: number
  round_id?: number
  strange?: Strange
  changed?: number
}
// What is not in a returned review sheet as it was sent.
export interface Strange {
  added: string[]
  doubled: number[]
  gone: number[]
  // Number in the sheet and text of rows whose segments were split or joined since.
  moved?: [number | null, string][]
  foreign: number
}
export type MatchOrigin = 'context' | 'exact' | 'adapted' | 'fuzzy' | 'machine' | 'none'
export type CandidateState = 'waiting' | 'later' | 'refused' | 'accepted'
export type CompletionSource = 'memories' | 'project' | 'machine' | 'terms' | 'carried' | 'codes' | 'source'
export type OnOpen = 'nothing' | 'source' | 'match' | 'machine'
export interface NamedConditions {
  name: string
  conditions: Record<string, unknown>
}
export interface ReadingLook {
  size?: 0.9 | 1 | 1.15 | 1.3 | 1.5
  measure?: 'short' | 'usual' | 'long'
  face?: 'reading' | 'plain'
  close?: boolean
  beside?: boolean
}
export interface Preferences {
  // Of the interface.
  language?: 'en' | 'it'
  // The lowest score that is shown.
  floor?: number
  // Repeats are confirmed with the segment they repeat, not filled as drafts.
  confirm_repeats?: boolean
  // What an untouched segment begins with, and matches from which score on.
  on_open?: OnOpen
  on_open_from?: number
  // How completion shows itself, and what it does not draw from.
  completion?: 'first' | 'list' | 'off'
  completion_without?: CompletionSource[]
  filters?: NamedConditions[]
  // Keys other than ours, by command.
  keys?: Record<string, string>
  reading?: ReadingLook
  // First-use hints that the user closed.
  hints_gone?: string[]
  // Where the tour of the demo leads, step by step.
  tour?: string[]
}
export type Cutting = 'sentence' | 'paragraph'
export type ReadingState = 'waiting' | 'reading' | 'ready' | 'refused' | 'cancelled'
export type DocumentRole = 'current' | 'pending' | 'earlier' | 'deleted'
export type Options = Record<string, string | boolean>
export interface DocumentFacts {
  words?: number
  segments?: number
  codes?: number
  tables?: number
  pictures?: number
  characters?: number
}
export interface Proposed {
  client_seen?: [number, number] | null
  as_in?: string | null
  as_template?: string | null
}
export type State = 'untouched' | 'draft' | 'translated' | 'reviewed' | 'final'

export interface Code {
  id: number
  kind: 'open' | 'alone'
  type: string
  display: string
  equiv: string
  css?: string | null
}
export interface Origin {
  kind?: 'typed' | 'memory' | 'machine' | 'repeated' | 'source' | 'file' | 'earlier' | 'assembled' | 'review'
  // Whose wording was taken over.
  author?: string
  score?: number
  // How a memory matched.
  match?: string
  memory?: string
  unit?: number
  touched?: boolean
  from?: number
}

// A service of machine translation as a client may choose it; no languages are all.
export interface ClientService {
  id: number
  name: string
  languages: string[]
}

export type WordsByState = Partial<Record<State, number>>
// Words by what the memories give, in the groups that are seen together.
export type BandGroup = 'known' | 'repetition' | '85' | '50' | 'new'
export type BandGroups = Record<BandGroup, number>
export type Bands = Record<string, { segments: number; words: number; characters: number }>

export interface Amount {
  segments: number
  words: number
}
export interface Comparison {
  same: Amount
  changed: Amount
  new: Amount
  gone: Amount
  lost: number
}
export interface FormatOption {
  name: string
  kind: 'switch' | 'choice' | 'text'
  default: string | boolean
  choices?: string[]
}
export interface Rule {
  break: boolean
  before: string
  after: string
  words: string[] | null
}
export interface RuleGroup {
  name: string
  pattern: string
  rules: Rule[]
}
export interface Ruling {
  from: 'project' | 'client' | 'mine' | 'default'
  groups: RuleGroup[]
  sample: string
  language: string
}
export interface RuleTrial {
  lines: { text: string; changed: boolean }[][]
  before: number
  after: number
}

export type Learns = 'confirm' | 'deliver' | 'never'
export interface AttachedMemory {
  memory_id: number
  name: string
  source_lang: string
  target_lang: string
  units: number
  learns: Learns
  read_only: boolean
  penalty: number
  region_penalty: number
  // The name of the server it is on, if it is on another one.
  server: string | null
}

// A client’s server that a project came from.
export interface ServerOfProject {
  name: string
  state: 'offered' | 'accepted' | 'delivered' | 'withdrawn'
  said: string | null
}
export interface Receipt {
  receipt: string
  at: string | null
  files: number
}
export interface OutgoingRequest {
  state: 'waiting' | 'going' | 'refused'
  trouble: string | null
}

export interface Difference {
  op: 'insert' | 'delete' | 'replace'
  source: string | null
  memory: string | null
  source_span: [number, number]
  memory_span: [number, number]
}
export interface Proposal {
  id: string
  kind: 'context' | 'exact' | 'adapted' | 'fuzzy' | 'machine' | 'file' | 'earlier' | 'assembled'
  // None where a machine gave it, or it is put together.
  // Of those put together: of which parts, and how many words are known.
  parts?: ('phrase' | 'term' | 'carried')[]
  known?: number
  words?: number
  // Numbers of the segments that say it together, where it is of a whole sentence.
  sentence?: number[]
  score: number | null
  // How much of it has to be changed, in percent, as far as can be told before.
  edits?: number
  service?: string
  // Codes that a machine lost, put where they stand in the source.
  lost?: string[]
  raw?: number
  changes?: { from: number; to: number; was: string }[]
  stored?: string | null
  penalties: { reason: string; points: number }[]
  target: string
  source: string
  memory?: string
  unit?: number
  differences: Difference[]
  author: string
  changed_at: string
  client: string
  project: string
  subject: string
  file: string
}
export interface UnitVersion {
  id: number
  source: string
  target: string
  author: string | null
  at: string
}
export interface Hit {
  kind: 'memory' | 'project'
  source: string
  target: string
  written: string
  side: 'source' | 'target'
  marks: [number, number][]
  memory?: string
  unit?: number
  author?: string
  changed_at?: string
  client?: string
  subject?: string
  project?: string
  segment?: number
  position?: number
  file?: string
  state?: State
}

export interface AgendaRow {
  id: number
  name: string
  client: string | null
  reference: string
  source_lang: string
  target_lang: string
  due_at: string | null
  words: Record<State, number>
  left: number
  hours: number
  known: number | null
  step: 'translate' | 'deliver' | 'delivered'
  // What accepted quotes say it is worth.
  worth: Money[]
}
export type ProjectState = 'progress' | 'delivered' | 'finished' | 'new' | 'template' | 'trash'
export interface ListedProject {
  id: number
  name: string
  reference: string | null
  client: string | null
  subject: string | null
  source_lang: string | null
  target_lang: string | null
  due_at: string | null
  finished_at: string | null
  delivered_at: string | null
  words: Record<State, number>
  // None before the work has begun.
  step: 'translate' | 'deliver' | 'delivered' | null
  worth: Money[]
  // Its number in the trash.
  trash_item: number | null
  deleted_at: string | null
}
export interface ProjectList {
  state: ProjectState
  projects: ListedProject[]
  counts: Record<ProjectState, number>
  all: number
  total: { projects: number; words: number; worth: Money[] }
  choices: { clients: { id: number; name: string }[]; pairs: string[]; years: number[] }
}
export interface ToReview {
  id: number
  from: string
  name: string
  source_lang: string
  target_lang: string
  due_at: string | null
  sent: number
  read: number
  may: Right
}
export interface Agenda {
  projects: AgendaRow[]
  briefs: { id: number; name: string; files: number; created_at: string }[]
  due_this_week: number
  reminders: { id: number; name: string; due_at: string }[]
  // Review requests of colleagues.
  to_review: ToReview[]
  words_per_hour: number
  resume: {
    project_id: number
    name: string
    segment_id: number
    number: number
    total: number
    text: string
  } | null
}

export interface Proof {
  segments: number
  words: number
  codes: number
  identical: boolean
  differences: { unit: string | null; what: string; message: string }[]
  // Texts computed from others that could not be renewed.
  left?: string[]
  // What of the file is in the source language; unset in older deliveries.
  source_text?: {
    // Confirmed so, figures, and what is never to be translated.
    purpose: KeptSource
    untouched: KeptSource
    // Translated and not confirmed; older deliveries do not tell of them.
    drafts?: KeptSource
    // In other places of the file, as an independent reading sees it.
    otherwise: string[]
  }
  // The same of older deliveries, which knew no more of it.
  source_left?: string[]
}
export interface KeptSource {
  count: number
  // The first of them.
  places: { number: number; text: string }[]
}
// What was not done when a delivery was made.
export interface Unfinished {
  count: number
  words: number
}
export interface DeliveredFile {
  id: number
  name: string
  checksum: string
  byte_size: number
  proof: Proof
  document_id: number
}
export interface Place {
  id: number
  number: number
  file: string
  text: string
}
export interface Readiness {
  items: Record<string, { count: number; words: number; places: Place[] }>
  words: Partial<Record<State, number>>
  // Segments the checks have not looked at.
  unchecked: number
  // Rounds of review that are not over.
  out: { number: number; reviser: string }[]
  // What is proposed to be written to the client.
  message: string
}
// What the checks said of a delivery.
export interface Checked {
  'must-fix': number
  look: number
  stands: number
  left: number
  profile: 'project' | 'client' | 'default'
}

// Kinds of errors and how much they weigh, as MQM has them.
export type Severity = 'neutral' | 'minor' | 'major' | 'critical'
export interface ErrorTypes {
  kinds: Record<string, string[]>
  severities: Record<Severity, number>
}
// What was said of a change.
export interface Said {
  text: string
  error_type: string | null
  severity: Severity | null
}
// Words in a segment that a remark is about, in letters of the plain text.
export interface Spot {
  side: 'source' | 'target'
  from: number
  to: number
  text: string
}
// What became of pairs that were put into a memory.
export interface Gift {
  operation: number
  state: string
  added: number
  same: number
  updated: number
  left: number
}
// How far an alignment is.
export interface AlignmentCounts {
  pairs: number
  one_sided: number
  confirmed: number
  left: number
  doubtful: number
}
// What a colleague may do in a pass inside.
export type Right = 'read' | 'remark' | 'change'
export type RoundState = 'out' | 'back' | 'closed'
export type Decision = 'open' | 'taken' | 'left'
export type ChangeKind = 'wording' | 'terms' | 'marks' | 'codes'

export type ProjectKind = 'project' | 'template' | 'quick'
export interface Working {
  // Weekdays, Sunday is 0.
  days: number[]
  from: string
  to: string
}

// All bands of a count, what is known best first.
export const BANDS = ['context', 'repetition', 'exact', '95-99', '85-94', '75-84', '50-74', 'new'] as const
export type Band = (typeof BANDS)[number]
export type RateUnit = 'word' | 'hour' | 'page' | 'flat'
// What is asked for work; numbers are strings with a decimal point.
export interface Rates {
  currency: string
  unit?: RateUnit
  rate: string
  weights?: Partial<Record<Band, string>>
  minimum?: string
  rush?: string
  rounding?: string
  page_characters?: string
  words_per_hour?: string
}
export type ReportMade = 'hand' | 'files' | 'quick'
export type ReportState = 'counting' | 'ready' | 'failed'
export interface CountedMemory {
  id: number
  name: string
  penalty: number
}
export interface Counted {
  segments: number
  words: number
  characters: number
  characters_without_spaces: number
  codes: number
  by_character: boolean
  // Split by what the memories give; with likeness inside the files; with no memory at all.
  bands: Bands
  inside: Bands
  bare: Bands
  // The words of `bands`, and of `bare`, in the groups that are seen together.
  groups: BandGroups
  bare_groups: BandGroups
}
export interface CountedFile extends Counted {
  name: string
  format: string | null
  document_id: number
}
export interface ReportFigures extends Counted {
  files: CountedFile[]
}
export type Differences = Record<Band, number>
export interface Beside {
  report: ReportLine
  figures: ReportFigures
  comparison: {
    differences: Differences
    files: { name: string; words: number | null; beside: number | null; differences: Differences }[]
  }
}
export type QuoteState = 'open' | 'sent' | 'accepted' | 'declined'
export interface QuoteLine {
  band: Band
  words: number
  weight: string
  weighted: string
  price: string
}
export interface QuoteSums {
  currency: string
  weighted_words: string
  lines: QuoteLine[]
  net: string
  rush: string
  total: string
}
export interface QuoteFigures extends QuoteSums {
  bare_total: string
}
export interface QuoteLetter {
  language: LetterLanguage
  from: string
  to: string
  conditions: string
}
export interface QuotedReport {
  name: string
  source_lang: string | null
  target_lang: string | null
  created_at: string
  figures: ReportFigures
  memories: number
}
export interface Person {
  name: string
  role?: string
  email?: string
  phone?: string
}
// A memory that new projects of a client get.
export interface StandingMemory {
  memory_id: number
  name: string
  source_lang: string
  target_lang: string
  units: number
  learns: Learns
  read_only: boolean
  penalty: number
}
export interface ClientWork {
  projects: number
  quotes: number
  reports: number
}
export interface ReferenceFile {
  id: number
  name: string
  byte_size: number
  kind: 'application' | 'image' | 'page'
}
export interface Money {
  amount: string
  currency: string
}
export interface Pace {
  words_per_hour: number
  bands: Partial<Record<Band, number>>
}

export type TermStatus = 'preferred' | 'admitted' | 'deprecated' | 'superseded'
export type Recognition = 'exact' | 'open' | 'alike'
export interface Term {
  text: string
  status?: TermStatus | null
  forbidden?: boolean
  recognise?: Recognition | null
  cased?: boolean
  part_of_speech?: string | null
  gender?: string | null
  number?: string | null
  note?: string | null
  example?: string | null
  source?: string | null
}
export interface TermSection {
  lang: string
  terms: Term[]
  definition?: string | null
  note?: string | null
}
export interface TermFacets {
  subjects: Record<string, number>
  statuses: Record<string, number>
  looks: Record<string, number>
}
export interface AttachedTermbase {
  termbase_id: number
  name: string
  entries: number
  adds: boolean
  checks: boolean
  read_only: boolean
}
// A term found in a source, with what it is in the target language.
export interface FoundTerm {
  from: number
  to: number
  term: string
  entry_id: number
  termbase: string
  targets: { text: string; at_start: string; usable: boolean; status: string | null; note: string | null }[]
}
// What can be carried over from a source.
export interface Carry {
  from: number
  to: number
  kind: 'link' | 'address' | 'date' | 'time' | 'range' | 'unit' | 'money' | 'number' | 'code'
  source: string
  target: string
  // May it stand in the translation as a word as well?
  may_be_word: boolean
}
