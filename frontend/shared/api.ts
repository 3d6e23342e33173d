// Talking to the server: JSON with the forgery token; every refusal becomes an ApiError with its sentence.
import i18next from './i18n'

export class ApiError extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly body?: unknown,
  ) {
    super(message)
  }
}

// The server did not answer at all: what was to be sent may be tried again.
export class OfflineError extends Error {
  constructor() {
    super(i18next.t('app.offline'))
  }
}

const meta = () => document.querySelector<HTMLMetaElement>('meta[name=csrf-token]')
let sender: Record<string, string> = {}

// Whose page this is, and which: the server keeps nothing of one person as another's.
export function identity(user: number, tab: string) {
  sender = { 'X-User': String(user), 'X-Tab': tab }
}

interface Options {
  keepalive?: boolean
}

function headersFor(body: unknown): Record<string, string> {
  const json = body !== undefined && !(body instanceof FormData)
  return {
    Accept: 'application/json',
    'X-CSRF-Token': meta()?.content ?? '',
    ...sender,
    ...(json ? { 'Content-Type': 'application/json' } : {}),
  }
}

function payload(body: unknown): BodyInit | undefined {
  if (body === undefined) return undefined
  return body instanceof FormData ? body : JSON.stringify(body)
}

async function send(method: string, path: string, body: unknown, options: Options): Promise<Response> {
  let response: Response
  try {
    response = await fetch(`/api${path}`, {
      method,
      credentials: 'same-origin',
      keepalive: options.keepalive,
      headers: headersFor(body),
      body: payload(body),
    })
  } catch {
    throw new OfflineError()
  }
  if ([502, 503, 504].includes(response.status)) throw new OfflineError()
  return response
}

// A page left open for long has a token that is no longer good: the refusal brings the new one.
function renewed(response: Response): boolean {
  const token = response.status === 422 ? response.headers.get('X-CSRF-Token') : null
  const holder = meta()
  if (!token || !holder) return false
  holder.content = token
  return true
}

export async function request<T>(
  method: string,
  path: string,
  body?: unknown,
  options: Options = {},
): Promise<T> {
  let response = await send(method, path, body, options)
  if (renewed(response)) response = await send(method, path, body, options)
  const json = safely(await response.text())
  if (isPending(response, json)) return pendingAnswer<T>(json.pending)
  if (response.ok) return json as T
  throw errorOf(response.status, json)
}

// Another server is asked, and takes its time: the answer is asked for until it is there.
const OFTEN = 300
const isPending = (response: Response, json: unknown): json is { pending: string } =>
  response.status === 202 && typeof json === 'object' && json !== null && 'pending' in json

async function pendingAnswer<T>(id: string): Promise<T> {
  await new Promise((done) => window.setTimeout(done, OFTEN))
  return request<T>('GET', `/pending_answers/${id}`)
}

export function errorOf(status: number, json: unknown): ApiError {
  const error = (json as { error?: { code: string; message: string } } | null)?.error
  return new ApiError(
    status,
    error?.code ?? 'unknown',
    error?.message ?? i18next.t('app.answered', { status }),
    json,
  )
}

function safely(text: string): unknown {
  try {
    return text ? JSON.parse(text) : null
  } catch {
    return null
  }
}

// A file, or 202 with the operation that makes it.
export async function fileAt(path: string): Promise<Response> {
  const response = await send('GET', path, undefined, {})
  if (response.ok) return response
  throw errorOf(response.status, safely(await response.text()))
}

// Sends files, telling how much of them has gone (0 to 1).
export function upload<T>(path: string, form: FormData, progress: (share: number) => void): Promise<T> {
  return new Promise((resolve, reject) => {
    const sending = new XMLHttpRequest()
    sending.open('POST', `/api${path}`)
    Object.entries(headersFor(form)).forEach(([name, value]) => sending.setRequestHeader(name, value))
    sending.upload.addEventListener('progress', (event) => {
      if (event.lengthComputable) progress(event.loaded / event.total)
    })
    sending.addEventListener('error', () => reject(new OfflineError()))
    sending.addEventListener('load', () => {
      const json = safely(sending.responseText)
      if (sending.status < 300) resolve(json as T)
      else reject(errorOf(sending.status, json))
    })
    sending.send(form)
  })
}

export const api = {
  get: <T>(path: string) => request<T>('GET', path),
  post: <T>(path: string, body?: unknown) => request<T>('POST', path, body),
  patch: <T>(path: string, body?: unknown, options?: Options) => request<T>('PATCH', path, body, options),
  delete: <T>(path: string, body?: unknown) => request<T>('DELETE', path, body),
  // A file as it is, by its whole address.
  bytes: async (address: string) => (await fetch(address)).arrayBuffer(),
}
