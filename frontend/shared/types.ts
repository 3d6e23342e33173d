// The shapes the API answers with.
export type State = 'untouched' | 'draft' | 'translated' | 'reviewed' | 'final'

export interface User {
  id: number
  name: string
  email: string
  words_per_hour: number
  reference_pattern: string
  preferences: Record<string, unknown>
}
export interface Client {
  id: number
  name: string
  code: string
}
export interface Code {
  id: number
  kind: 'open' | 'alone'
  type: string
  display: string
  equiv: string
  css?: string | null
}
export interface Origin {
  kind?: 'typed' | 'memory' | 'machine' | 'repeated' | 'source' | 'file' | 'earlier'
  score?: number
  memory?: string
  unit?: number
  touched?: boolean
  from?: number
}

export interface Segment {
  id: number
  document_id: number
  position: number
  key: string
  block: string
  path: string
  source: string
  target: string
  state: State
  origin: Origin
  marked: boolean
  exempt: boolean
  words: number
  version: number
  note: string | null
  limit: number | null
  codes: Code[]
}

export type Bands = Record<string, { segments: number; words: number; characters: number }>

export interface DocumentRow {
  id: number
  position: number
  name: string
  format: string | null
  state: 'waiting' | 'reading' | 'ready' | 'refused' | 'cancelled'
  message: string | null
  done: number
  total: number
  by: 'sentence' | 'paragraph'
  source_lang: string | null
  options: Record<string, string | boolean>
  replaces_id: number | null
  comparison: Comparison | null
  facts: {
    words?: number
    segments?: number
    codes?: number
    tables?: number
    pictures?: number
    characters?: number
  }
  bands: Bands | null
  byte_size: number
}

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
  from: 'project' | 'mine' | 'default'
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
}

export interface Project {
  id: number
  name: string
  reference: string | null
  client_id: number | null
  client: string | null
  subject: string
  description: string
  source_lang: string | null
  target_lang: string | null
  due_at: string | null
  begun_at: string | null
  last_segment_id: number | null
  proposed: { client_seen?: [number, number] | null; as_in?: string | null }
  words: Partial<Record<State, number>>
  memories: AttachedMemory[]
  documents: DocumentRow[]
  versions: DocumentRow[]
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
  kind: 'context' | 'exact' | 'adapted' | 'fuzzy' | 'machine' | 'file' | 'earlier'
  score: number
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
export interface Version {
  id: number
  target: string
  state: State
  origin: Origin
  author: string | null
  created_at: string
  updated_at: string
}
export interface Memory {
  id: number
  name: string
  description: string
  source_lang: string
  target_lang: string
  units: number
  projects: number
  updated_at: string
  used_at: string | null
  busy: MemoryChange[]
}
export interface MemoryChange {
  id: number
  kind: 'import' | 'edit' | 'bulk' | 'delete' | 'merge' | 'split'
  summary: string
  state: 'waiting' | 'running' | 'done' | 'cancelled' | 'failed' | 'undoing'
  done: number
  total: number
  created_at: string
  undone_at: string | null
  author: string | null
  file: string | null
  left: number | null
  facts: {
    read?: number
    added?: number
    same?: number
    updated?: number
    skipped?: number
    faulty?: number
    faults?: { line: number; message: string }[]
    message?: string
  }
}
export interface MemoryUnit {
  id: number
  source: string
  target: string
  author: string | null
  changed_by: string | null
  client: string | null
  subject: string | null
  project: string | null
  file: string | null
  origin: string
  key: string | null
  used: number
  created_at: string
  updated_at: string
  used_at: string | null
  notes: string[]
  twin: { from: number; to: number }[]
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
}
export interface Agenda {
  projects: AgendaRow[]
  briefs: { id: number; name: string; files: number; created_at: string }[]
  due_this_week: number
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
}
export interface Delivery {
  id: number
  number: number
  unfinished: Record<string, { count: number; words: number }>
  learned: number
  created_at: string
  author: string
  files: {
    id: number
    name: string
    checksum: string
    byte_size: number
    proof: Proof
    document_id: number
  }[]
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
}

export interface ProjectAct {
  id: number
  kind: 'rules' | 'settings' | 'split' | 'join' | 'version' | 'put-back' | 'file-in' | 'file-out'
  name: string
  facts: { text?: string }
  created_at: string
  undone_at: string | null
  author: string | null
}
