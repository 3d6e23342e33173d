// Find and replace: what is asked of the server.
import { api } from '../../shared/api'
import { begin } from '../../operations/follow'

export interface Asked {
  find: string
  with: string
  regex: boolean
  cased: boolean
  words: boolean
}
export interface Place {
  id: number
  position: number
  source: string
  before: string
  after: string
}
export interface Found {
  count: number
  places: Place[]
}

const parameters = (asked: Asked) =>
  new URLSearchParams(Object.entries(asked).map(([name, value]) => [name, String(value)]))

export const lookFor = (project: number, asked: Asked) =>
  api.get<Found>(`/projects/${project}/replacements?${parameters(asked)}`)
export const writeChanges = (project: number, asked: Asked & { take: number[]; confirmed: string }) =>
  begin(`/projects/${project}/replacements`, asked)
