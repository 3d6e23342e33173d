// Below the target: where its text came from and whether it is kept, its length, the codes it lacks.
import { useTranslation } from 'react-i18next'
import { missingCodes } from '../../shared/balance'
import { plain } from '../../shared/content'
import { KEYS, shown } from '../../shared/keys'
import { originText } from '../../shared/origin'
import type { Entry } from '../../shared/outbox'
import { Key } from '../../shared/parts/Key'
import type { Carry, Segment } from '../../shared/types'
import { Written } from '../../shared/Written'
import type { Store } from '../store'
import { FoundHere } from './FoundHere'
import { blockedText, useUnsent } from '../Unsent'

interface Props {
  segment: Segment
  store: Store
  pending?: Entry
  // What of the source is not carried over yet.
  toCome: Carry[]
  onFinish: () => void
  onCarry: () => void
}

export function CardFoot({ segment, store, pending, toCome, onFinish, onCarry }: Props) {
  const { t } = useTranslation()
  const kept = useKept(segment, store, pending)
  return (
    <div className="foot">
      <span>{segment.target && `${originText(segment.origin, t)} · ${kept}`}</span>
      {segment.target && <Length segment={segment} />}
      {segment.target && <Lost segment={segment} />}
      {toCome.length > 0 && (
        <button type="button" className="to-come" onClick={onCarry} title={shown(KEYS.carry)}>
          {t('terms.toCome')} {toCome.map((one) => one.target).join(' · ')}
        </button>
      )}
      <FoundHere segment={segment} />
      {segment.marked && <span>{t('translate.cameBack')}</span>}
      {segment.exempt && <span>{t('translate.apart')}</span>}
      <span className="push" />
      <button type="button" onClick={onFinish}>
        {t('translate.finish')} <Key keys={KEYS.finish} />
      </button>
    </div>
  )
}

// Whether what was written is on the server's disk.
function useKept(segment: Segment, store: Store, pending?: Entry) {
  const { t } = useTranslation()
  const { blocked } = useUnsent(store.outbox)
  if (pending?.trouble) return t('unsent.held')
  if (pending && blocked) return t(blockedText(blocked), { count: 1 })
  if (pending) return t('translate.sending')
  const state = t(`states.${segment.state}`)
  return segment.state === 'draft' ? `${state} ${t('translate.kept')}` : state
}

function Length({ segment }: { segment: Segment }) {
  const { t } = useTranslation()
  const target = plain(segment.target, segment.codes).length
  const source = plain(segment.source, segment.codes).length
  return (
    <span className="tab">
      {segment.limit
        ? t('translate.limit', { target, limit: segment.limit })
        : t('translate.length', { target, source })}
    </span>
  )
}

function Lost({ segment }: { segment: Segment }) {
  const { t } = useTranslation()
  const lost = missingCodes(segment.source, segment.target)
  const writing = segment.state === 'draft'
  if (!lost.length) return null
  return (
    <span className={writing ? '' : 'lost'}>
      {t(writing ? 'translate.codesToCome' : 'translate.lostCodes')}{' '}
      <Written value={lost.join('')} codes={segment.codes} /> {writing && <Key keys={KEYS.missingCode} />}
    </span>
  )
}
