// All shapes the API answers with: generated from its resources, and those said by hand.
import type { MemoryUnit as StoredUnit } from './api-types'

export type {
  Client,
  ClientPage,
  Delivery,
  Document as DocumentRow,
  Memory,
  MemoryChange,
  Project,
  ProjectAct,
  Quote,
  QuotePage,
  RateCard,
  Report,
  ReportLine,
  Segment,
  Template,
  Termbase,
  TermbaseAct,
  TermbasePage,
  TermEntry,
  User,
  Version,
} from './api-types'
export type * from './shapes'
export { BANDS } from './shapes'

// A unit as it is found by a search: beside one of the same source, what differs is marked.
export type MemoryUnit = StoredUnit & { twin?: { from: number; to: number }[] }
