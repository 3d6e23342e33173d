// The sound of a film as a wave: the loudest of each fiftieth of a second.
import { useQuery } from '@tanstack/react-query'
import { api } from '../../shared/api'
import { keys } from '../../shared/queryKeys'

export const PEAKS_A_SECOND = 50
// Enough to see speech.
const SAMPLES_A_SECOND = 8000
// Larger films are not read as a whole for it.
const MOST_BYTES = 80 * 1024 * 1024

async function waveOf(address: string): Promise<Float32Array> {
  const bytes = await api.bytes(address)
  const sound = await new OfflineAudioContext(1, 1, SAMPLES_A_SECOND).decodeAudioData(bytes)
  const samples = sound.getChannelData(0)
  const step = Math.round(sound.sampleRate / PEAKS_A_SECOND)
  const peaks = new Float32Array(Math.ceil(samples.length / step))
  for (let at = 0; at < samples.length; at += 1) {
    const place = Math.floor(at / step)
    peaks[place] = Math.max(peaks[place], Math.abs(samples[at]))
  }
  const loudest = peaks.reduce((most, one) => Math.max(most, one), 0) || 1
  return peaks.map((one) => one / loudest)
}

// address: null without a film. Nothing where it cannot be decoded here.
export function useWave(address: string | null, bytes: number): Float32Array | null {
  const { data } = useQuery({
    queryKey: keys.wave(address),
    queryFn: () => waveOf(address!),
    enabled: address !== null && bytes <= MOST_BYTES && 'OfflineAudioContext' in window,
    staleTime: Infinity,
    retry: false,
  })
  return data ?? null
}
