// The drop area of Today, with the target language for new projects.
import { useCallback, useRef, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { Sending } from '../brief/Sending'
import type { SendingState } from '../brief/useSending'
import { languageOptions } from '../shared/languages'
import { ChoiceInPlace } from '../shared/parts/ChoiceInPlace'
import { DropFiles } from '../shared/parts/DropFiles'
import type { Start } from './useNewBrief'

const KEPT = 'glossema.into'

// The language new briefs are translated into, as it was chosen last.
export function useInto() {
  const [into, setInto] = useState(() => localStorage.getItem(KEPT) ?? '')
  const latest = useRef(into)
  const choose = (tag: string) => {
    localStorage.setItem(KEPT, tag)
    latest.current = tag
    setInto(tag)
  }
  const known = useCallback(() => (latest.current ? { target_lang: latest.current } : {}), [])
  return { into, choose, known }
}

interface Props {
  sending: SendingState
  start: Start
  into: ReturnType<typeof useInto>
  whole?: boolean
}

export function DropHere({ sending, start, into, whole }: Props) {
  const { t } = useTranslation()
  return (
    <>
      <Sending {...sending} />
      <DropFiles onFiles={(files) => start(files, into.known)}>
        <h2>{t(whole ? 'today.dropFirst' : 'today.drop')}</h2>
        <p className="quiet">
          {t('today.dropLead')}
          <br />
          <span className="plain-link">{t('today.choose')}</span>
        </p>
      </DropFiles>
      <p className="small quiet into">
        {t('today.into')}{' '}
        <ChoiceInPlace
          label={t('today.into')}
          blank={t('today.intoLater')}
          value={into.into || null}
          options={languageOptions}
          onChange={into.choose}
        />
        {into.into && (
          <button type="button" className="plain-link" onClick={() => into.choose('')}>
            {t('today.intoForget')}
          </button>
        )}
      </p>
      <p className="small">
        <Link className="plain-link" to="/count">
          {t('today.quick')}
        </Link>
      </p>
    </>
  )
}
