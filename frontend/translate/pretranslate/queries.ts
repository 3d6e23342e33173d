// Pre-translation: what is asked of the server. First a preview, then the writing of it; both are operations.
import { api } from '../../shared/api'
import { begin } from '../../operations/follow'
import type { Operation } from '../../shared/types'

export interface Settings {
  threshold: number
  which: 'untouched' | 'unfinished'
  confirms: 'none' | 'context' | 'exact'
  machine: boolean
}

// segments: null for the whole project.
export const beginPreview = (project: number, settings: Settings, segments: number[] | null) =>
  begin(`/projects/${project}/pretranslation`, {
    ...settings,
    ...(segments ? { segment_ids: segments } : {}),
  })
export const acceptPreview = (project: number, preview: number) =>
  api.patch<Operation>(`/projects/${project}/pretranslation`, { preview_id: preview })
