// What is measured of the cue being written, against the client's limits: it fills while typing.
import { useTranslation } from 'react-i18next'
import { plain } from '../../shared/content'
import { number } from '../../shared/i18n'
import type { Segment } from '../../shared/types'
import { metersOf, toLose, type Limits, type Meters } from './meters'
import { useCue } from './useTimed'

export function CueMeters({ segment }: { segment: Segment }) {
  const { t } = useTranslation()
  const at = useCue(segment.id)
  if (!at) return null
  const { limits } = at.timed.page
  const meters = metersOf(plain(segment.target, segment.codes), at.cue, at.next?.start ?? null, limits)
  const lose = toLose(meters, limits)
  return (
    // Whoever presses on them goes on typing.
    <div
      className="cue-meters small"
      role="group"
      aria-label={t('timed.meters')}
      onMouseDown={(event) => event.preventDefault()}
    >
      {rowsOf(meters, limits, t).map((row) => (
        <Meter key={row.label} {...row} />
      ))}
      {meters.wpm !== null && (
        <span className="quiet">{t('timed.wpm', { text: number(Math.round(meters.wpm)) })}</span>
      )}
      <Gap meters={meters} limits={limits} />
      {lose > 0 && <span className="over">{t('timed.toLose', { count: lose })}</span>}
    </div>
  )
}

interface Row {
  label: string
  value: number
  limit: number
  // What it says, in figures.
  told: string
  over: boolean
}

const tenth = (value: number) => number(Math.round(value * 10) / 10)

function rowsOf(meters: Meters, limits: Limits, t: ReturnType<typeof useTranslation>['t']): Row[] {
  const { cps, lines, duration, over } = meters
  const of = (value: string, limit: number) => t('timed.of', { value, limit: number(limit) })
  return [
    {
      label: t('timed.cps'),
      value: cps ?? 0,
      limit: limits.cps,
      told: of(cps === null ? '—' : tenth(cps), limits.cps),
      over: over.includes('cps'),
    },
    ...lines.map((length, index) => ({
      label: t('timed.line', { number: index + 1 }),
      value: length,
      limit: limits.characters,
      told: of(number(length), limits.characters),
      over: length > limits.characters,
    })),
    {
      label: t('timed.lines'),
      value: lines.length,
      limit: limits.lines,
      told: of(number(lines.length), limits.lines),
      over: over.includes('lines'),
    },
    {
      label: t('timed.time'),
      value: duration ?? 0,
      limit: limits.longest,
      told: duration === null ? '—' : t('timed.seconds', { text: tenth(duration) }),
      over: over.includes('duration'),
    },
  ]
}

function Meter({ label, value, limit, told, over }: Row) {
  const { t } = useTranslation()
  // The limit stands at four fifths, so that what is over can be seen.
  const share = Math.min((value / limit) * 0.8, 1) * 100
  return (
    <span
      className={over ? 'meter over' : 'meter'}
      role="meter"
      aria-label={label}
      aria-valuenow={Math.round(value * 10) / 10}
      aria-valuemin={0}
      aria-valuemax={limit}
      aria-valuetext={over ? `${told}, ${t('timed.over')}` : told}
    >
      {label}
      <i className="bar">
        <i style={{ width: `${share}%` }} />
      </i>
      <b className="tab">{told}</b>
      {over && <em>{t('timed.over')}</em>}
    </span>
  )
}

// What stands between this cue and the next.
function Gap({ meters, limits }: { meters: Meters; limits: Limits }) {
  const { t } = useTranslation()
  if (meters.gap === null) return null
  const frames = Math.round(Math.abs(meters.gap) * limits.rate)
  const isOver = meters.over.includes('gap') || meters.over.includes('overlap')
  const text = t(meters.gap < 0 ? 'timed.overlaps' : 'timed.gap', {
    text: number(Math.round(Math.abs(meters.gap) * 1000) / 1000),
    frames: number(frames),
  })
  return <span className={isOver ? 'over' : 'quiet'}>{text}</span>
}
