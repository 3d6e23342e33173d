// A delivery: when, by whom, what was unfinished then, and its files with their proof.
import { useTranslation } from 'react-i18next'
import { fullDate, number, time } from '../shared/i18n'
import type { DeliveredFile, Delivery, KeptSource } from '../shared/types'
import { SentThere } from './SentThere'

const SHOWN = 6
const capital = (word: string) => word[0].toUpperCase() + word.slice(1)

interface Props {
  delivery: Delivery
  onSent: () => Promise<unknown>
}

export function DeliveryLine({ delivery, onSent }: Props) {
  const { t } = useTranslation()
  const unfinished = Object.entries(delivery.unfinished).map(([name, item]) =>
    t(`deliver.left${capital(name)}`, { count: item.count }),
  )
  const date = `${fullDate(delivery.created_at)}, ${time(delivery.created_at)}`
  const { checks } = delivery
  const checked = checks && {
    must: number(checks['must-fix']),
    look: number(checks.look),
    stands: number(checks.stands),
  }
  const about = [
    t('deliver.by', { date, author: delivery.author }),
    checked ? t('deliver.checkedThen', checked) : '',
    checks?.left ? t('deliver.uncheckedThen', { count: checks.left }) : '',
    unfinished.length ? t('deliver.unfinishedThen', { list: unfinished.join(', ') }) : '',
    delivery.learned ? t('deliver.learned', { count: delivery.learned }) : '',
  ]
  return (
    <li>
      <div className="line">
        <span>
          <b>{t('deliver.number', { number: delivery.number })}</b>{' '}
          <span className="quiet">{about.filter(Boolean).join(' · ')}</span>
        </span>
        {delivery.files.length > 1 && (
          <a className="link" href={`/api/deliveries/${delivery.id}`}>
            {t('deliver.zip')}
          </a>
        )}
      </div>
      <SentThere delivery={delivery} onAgain={onSent} />
      <ul className="places files-of">
        {delivery.files.map((file) => (
          <FileLine key={file.id} file={file} />
        ))}
      </ul>
    </li>
  )
}

function FileLine({ file }: { file: DeliveredFile }) {
  const { t } = useTranslation()
  return (
    <li>
      <span>
        <b>{file.name}</b>{' '}
        <span className="quiet small tab">
          {number(Math.ceil(file.byte_size / 1024))} kB · SHA-256 {file.checksum.slice(0, 12)}
        </span>
        <ProofLines proof={file.proof} />
      </span>
      <a className="link" href={`/api/delivered_files/${file.id}`} download={file.name}>
        {t('deliver.download')}
      </a>
    </li>
  )
}

function ProofLines({ proof }: { proof: DeliveredFile['proof'] }) {
  const { t } = useTranslation()
  const { identical, differences, left, source_text: source } = proof
  const elsewhere = source?.otherwise ?? proof.source_left ?? []
  const proved = { segments: number(proof.segments), codes: number(proof.codes) }
  return (
    <span className="proof small">
      <span className={identical ? 'quiet' : 'alarm'}>
        {identical ? t('deliver.proved', proved) : t('deliver.faults', { count: differences.length })}
        {source && !source.untouched.count && !elsewhere.length && `, ${t('deliver.noSourceLeft')}`}
      </span>
      {differences.slice(0, SHOWN).map((difference, index) => (
        <span key={index}>{difference.message}</span>
      ))}
      {differences.some((difference) => difference.what === 'unreadable') && (
        <span className="alarm">{t('deliver.notIn')}</span>
      )}
      {elsewhere.length > 0 && (
        <span>
          {t('deliver.sourceElsewhere')} {elsewhere.slice(0, SHOWN).join(' · ')}
        </span>
      )}
      {source && <SourceText source={source} />}
      {left && (
        <span className="quiet">
          {t('deliver.leftAsWas')} {left.slice(0, SHOWN).join(' · ')}
        </span>
      )}
    </span>
  )
}

// What of its segments is in the source language: left untouched, and left on purpose.
function SourceText({ source }: { source: NonNullable<DeliveredFile['proof']['source_text']> }) {
  const { t } = useTranslation()
  const listed = ({ count, places }: KeptSource) => {
    const shown = places.slice(0, SHOWN).map(({ number: at, text }) => `${number(at)} “${text}”`)
    return [...shown, ...(count > shown.length ? ['…'] : [])].join(' · ')
  }
  return (
    <>
      {!!source.drafts?.count && (
        <span>
          {t('deliver.drafts', { count: source.drafts.count })} {listed(source.drafts)}
        </span>
      )}
      {!!source.untouched.count && (
        <span className="alarm">
          {t('deliver.sourceUntouched', { count: source.untouched.count })} {listed(source.untouched)}
        </span>
      )}
      {!!source.purpose.count && (
        <span className="quiet">
          {t('deliver.sourceOnPurpose', { count: source.purpose.count })} {listed(source.purpose)}
        </span>
      )}
    </>
  )
}
