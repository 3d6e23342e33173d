// Waiting for an operation that was begun: the page stays usable, and it may be left.
import { api, ApiError, fileAt } from '../shared/api'
import type { Operation } from '../shared/types'
import { fileOf, isUnderWay, operationAt } from './queries'

// How often is asked, in ms: at first quickly, for most of them are short.
const FIRST = 150
const LATER = 700
const QUICK = 6

// The user cancelled it: nothing is said.
export class OperationCancelled extends Error {}

const pause = (ms: number) => new Promise((done) => window.setTimeout(done, ms))

// Answers the operation once it is over. Throws what stopped it.
export async function finished(begun: Operation, onProgress?: (now: Operation) => void): Promise<Operation> {
  let now = begun
  for (let asked = 0; isUnderWay(now); asked += 1) {
    onProgress?.(now)
    await pause(asked < QUICK ? FIRST : LATER)
    now = await operationAt(now.id)
  }
  if (now.state === 'failed') throw new ApiError(422, 'operation-failed', now.message ?? '')
  if (now.state === 'cancelled') throw new OperationCancelled()
  return now
}

// A file that takes a while to be made: its address answers the operation that makes it, which is waited for,
// or, where it is small, the file itself.
export async function download(path: string): Promise<void> {
  const response = await fileAt(path)
  if (response.status !== 202) return save(await response.blob(), nameIn(response))
  const operation = await finished((await response.json()) as Operation)
  window.location.assign(fileOf(operation))
}

const nameIn = (response: Response) => {
  const told = response.headers.get('Content-Disposition') ?? ''
  const encoded = /filename\*=UTF-8''([^;]+)/.exec(told)?.[1]
  return encoded ? decodeURIComponent(encoded) : (/filename="([^"]+)"/.exec(told)?.[1] ?? 'file')
}

function save(file: Blob, name: string) {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(file)
  link.download = name
  link.click()
  window.setTimeout(() => URL.revokeObjectURL(link.href), 60_000)
}

export const begin = (path: string, body?: unknown) => api.post<Operation>(path, body)
