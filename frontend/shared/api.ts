// Talking to the server: JSON with the forgery token; every refusal becomes an ApiError with its sentence.
export class ApiError extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
  ) {
    super(message)
  }
}

// The network did not answer at all: what was to be sent may be tried again.
export class OfflineError extends Error {}

const token = () => document.querySelector<HTMLMetaElement>('meta[name=csrf-token]')?.content ?? ''

export async function request<T>(
  method: string,
  path: string,
  body?: unknown,
  options: { keepalive?: boolean } = {},
): Promise<T> {
  const form = body instanceof FormData
  let response: Response
  try {
    response = await fetch(`/api${path}`, {
      method,
      credentials: 'same-origin',
      keepalive: options.keepalive,
      headers: {
        Accept: 'application/json',
        'X-CSRF-Token': token(),
        ...(form || body === undefined ? {} : { 'Content-Type': 'application/json' }),
      },
      body: body === undefined ? undefined : form ? body : JSON.stringify(body),
    })
  } catch {
    throw new OfflineError('offline')
  }
  if (response.status === 502 || response.status === 503 || response.status === 504)
    throw new OfflineError('offline')
  const text = await response.text()
  const json = text ? safely(text) : null
  if (!response.ok) {
    const error = (json as { error?: { code: string; message: string } } | null)?.error
    throw new ApiError(
      response.status,
      error?.code ?? 'unknown',
      error?.message ?? `The server answered with ${response.status}.`,
    )
  }
  return json as T
}

function safely(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return null
  }
}

export const api = {
  get: <T>(path: string) => request<T>('GET', path),
  post: <T>(path: string, body?: unknown) => request<T>('POST', path, body),
  patch: <T>(path: string, body?: unknown, options?: { keepalive?: boolean }) =>
    request<T>('PATCH', path, body, options),
  delete: <T>(path: string) => request<T>('DELETE', path),
}
