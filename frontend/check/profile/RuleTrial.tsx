// Tests a custom check on a typed pair and on the text of the project, a moment after the last key.
import { Input } from 'antd'
import { useEffect, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useRested } from '../../shared/useRested'
import { Spots } from '../Spots'
import { tryRule, type OwnRule, type ProfileOwner, type Trial } from './queries'

interface Props {
  owner: ProfileOwner
  rule: OwnRule
  languages: string[]
}

export function RuleTrial({ owner, rule, languages }: Props) {
  const { t } = useTranslation()
  const [source, setSource] = useState('')
  const [target, setTarget] = useState('')
  const { trial, fault } = useTried(owner, { rule, source, target, languages })
  return (
    <div className="rule-trial">
      <h3>{t('check.profile.tryTitle')}</h3>
      <Input.TextArea
        rows={2}
        value={source}
        aria-label={t('check.profile.trySource')}
        placeholder={t('check.profile.trySource')}
        onChange={(event) => setSource(event.target.value)}
      />
      <Input.TextArea
        rows={2}
        value={target}
        aria-label={t('check.profile.tryTarget')}
        placeholder={t('check.profile.tryTarget')}
        onChange={(event) => setTarget(event.target.value)}
      />
      {fault && (
        <p className="fault" role="alert">
          {fault}
        </p>
      )}
      {!fault && trial && <Result {...{ trial, target }} />}
    </div>
  )
}

function Result({ trial, target }: { trial: Trial; target: string }) {
  const { t } = useTranslation()
  const found = trial.findings.flatMap((one) => one.target)
  return (
    <div role="status">
      {trial.given_up && <p className="alarm">{t('check.profile.tooSlow')}</p>}
      {target && (
        <p>
          {t(trial.findings.length ? 'check.profile.finds' : 'check.profile.passes')}{' '}
          <span className="reading">
            <Spots text={target} spans={found} />
          </span>
        </p>
      )}
      {trial.count !== null && (
        <p className="quiet">
          {trial.count
            ? t('check.profile.inProject', { count: trial.count })
            : t('check.profile.inProjectNone')}
        </p>
      )}
      <ul>
        {trial.examples.map((example) => (
          <li key={example.number} className="small">
            <span className="quiet">{example.number}</span> <span className="reading">{example.target}</span>
          </li>
        ))}
      </ul>
    </div>
  )
}

type Asked = { rule: OwnRule; source: string; target: string; languages: string[] }

// What the server says of a rule that is whole; of one that is not, nothing.
function useTried(owner: ProfileOwner, asked: Asked) {
  const [trial, setTrial] = useState<Trial | null>(null)
  const [fault, setFault] = useState('')
  const rested = useRested(asked)
  useEffect(() => {
    let late = false
    const { rule, source, target, languages } = rested
    if (!rule.name || !rule.target || !rule.message) return
    const attempt = async () => {
      try {
        const [from = 'en', into = ''] = languages
        const answer = await tryRule(owner, { rule, source, target, source_lang: from, target_lang: into })
        if (late) return
        setTrial(answer)
        setFault('')
      } catch (error) {
        if (!late) setFault((error as Error).message)
      }
    }
    void attempt()
    return () => {
      late = true
    }
  }, [owner, rested])
  return { trial, fault }
}
