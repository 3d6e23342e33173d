// What can be done about a finding: put right what is certain, one wording for two, let it stand, or look at it
// again.
import { useTranslation } from 'react-i18next'
import { plain } from '../../shared/content'
import { KEYS } from '../../shared/keys'
import { Key } from '../../shared/parts/Key'
import { changedPart } from '../changedPart'
import type { Finding, Unify } from '../queries'
import type { Mending } from './useMending'

const WAYS: Unify[] = ['here', 'there', 'everywhere']

interface Props {
  finding: Finding
  mending: Mending
  onStand: () => void
}

export function Acts({ finding, mending, onStand }: Props) {
  const { t } = useTranslation()
  if (finding.stands)
    return (
      <p className="acts">
        <button type="button" className="link" onClick={() => mending.standNoMore(finding)}>
          {t('check.again')}
        </button>
      </p>
    )
  return (
    <p className="acts">
      {finding.fix && (
        <button
          type="button"
          className="fix"
          aria-label={t('check.putRight')}
          onClick={() => mending.putRight([finding])}
        >
          <Fix finding={finding} /> <Key keys={KEYS.fix} />
        </button>
      )}
      {finding.code === 'source-two-targets' && (
        <span className="unify">
          {WAYS.map((way) => (
            <button key={way} type="button" className="link" onClick={() => mending.unify(finding, way)}>
              {t(`check.unify.${way}`)}
            </button>
          ))}
        </span>
      )}
      <button type="button" className="let" onClick={onStand}>
        {t('check.letStand')} <Key keys={KEYS.letStand} />
      </button>
    </p>
  )
}

// What would stand there, or that something goes.
function Fix({ finding }: { finding: Finding }) {
  const { t } = useTranslation()
  const text = (written: string) => plain(written, finding.codes)
  const part = changedPart(text(finding.target_written), text(finding.fix!))
  return part ? <span className="fix-text">{part}</span> : t('check.takeOut')
}
