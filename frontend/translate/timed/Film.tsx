// The film beside the text, with the translation as its subtitle, in step with the open cue.
import { useContext, useEffect, useRef, useSyncExternalStore } from 'react'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { Key } from '../../shared/parts/Key'
import { KEYS } from '../../shared/keys'
import type { Segment } from '../../shared/types'
import type { Store } from '../store'
import { whole } from './clock'
import { CuesLine } from './CuesLine'
import { FilmDrop } from './FilmDrop'
import { FilmTime } from './FilmTime'
import { filmAddress } from './queries'
import { SPEEDS } from './player'
import { Subtitle } from './Subtitle'
import { TimedContext, type Timed } from './useTimed'

interface Props {
  store: Store
  open: Segment | null
  onOpen: (id: number) => void
}

export function Film({ store, open, onOpen }: Props) {
  const { t } = useTranslation()
  const timed = useContext(TimedContext)
  if (!timed) return <p className="quiet">{t('timed.noCues')}</p>
  const { film } = timed.page
  return (
    <div className="film">
      {film ? (
        <Picture key={film.version} {...{ timed, store, open, onOpen }} />
      ) : (
        <FilmDrop document={timed.document} />
      )}
      <CuesLine {...{ timed, open, onOpen }} />
      <p className="small quiet">
        {t('timed.limitsAre', { ...timed.page.limits })}{' '}
        <Link className="plain-link" to={`/projects/${store.project}/check/profile`}>
          {t('timed.changeLimits')}
        </Link>
      </p>
      {film && (
        <p className="small quiet film-file">
          {film.name} <FilmDrop document={timed.document} film={film} />
        </p>
      )}
    </div>
  )
}

function Picture({ timed, store, open, onOpen }: Props & { timed: Timed }) {
  const { t } = useTranslation()
  const { player, page } = timed
  const facts = useSyncExternalStore(player.subscribe, player.snapshot)
  const last = page.cues.at(-1)?.finish
  const video = useRef<HTMLVideoElement>(null)
  useEffect(() => player.attach(video.current), [player])
  return (
    <>
      <div className="picture">
        <video
          ref={video}
          src={filmAddress(timed.document, page.film!)}
          preload="metadata"
          playsInline
          aria-label={t('timed.film')}
        >
          {/* Its subtitles are what is being written; they are drawn over it. */}
          <track kind="captions" />
        </video>
        <Subtitle {...{ timed, store, open, onOpen }} />
      </div>
      {facts.broken && <p className="alarm small">{t('timed.broken', { name: page.film!.name })}</p>}
      <div className="film-controls">
        <button
          type="button"
          className="play"
          aria-label={t(facts.playing ? 'timed.pause' : 'timed.play')}
          title={KEYS.filmPlay}
          onClick={() => player.toggle()}
        >
          {facts.playing ? '❚❚' : '▶'}
        </button>
        <FilmTime player={player} />{' '}
        <span className="quiet">/ {facts.duration === null ? '—' : whole(facts.duration)}</span>
        <span className="push" />
        <button
          type="button"
          className="in-place"
          aria-pressed={facts.playing && facts.way === 'again'}
          onClick={() => player.playCue('again')}
        >
          {t('timed.again')}
        </button>
        <Speed timed={timed} speed={facts.speed} />
      </div>
      {facts.duration !== null && last != null && last > facts.duration + 1 && (
        <p className="small alarm">
          {t('timed.shorter', { film: whole(facts.duration), cues: whole(last) })}
        </p>
      )}
      <p className="small quiet film-keys">
        <Key keys={KEYS.filmPlay} /> {t('timed.keys.play')} <Key keys={KEYS.filmCue} /> {t('timed.keys.cue')}{' '}
        <Key keys={KEYS.filmBack} /> {t('timed.keys.back')}
      </p>
    </>
  )
}

function Speed({ timed, speed }: { timed: Timed; speed: number }) {
  const { t } = useTranslation()
  return (
    <label className="in-place">
      {t('timed.at')}{' '}
      <select
        aria-label={t('timed.speed')}
        value={speed}
        onChange={(event) => timed.player.setSpeed(Number(event.target.value))}
      >
        {SPEEDS.map((one) => (
          <option key={one}>{one}</option>
        ))}
      </select>
    </label>
  )
}
