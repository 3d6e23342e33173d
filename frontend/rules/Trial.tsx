// A text segmented by the rules that are being edited; changes are marked.
import { Input } from 'antd'
import { useTranslation } from 'react-i18next'
import { languageName, languageOptions } from '../shared/languages'
import { ChoiceInPlace } from '../shared/parts/ChoiceInPlace'
import type { RuleTrial } from '../shared/types'

interface Props {
  language: string
  onLanguage: (tag: string) => void
  text: string
  setText: (text: string) => void
  trial: RuleTrial | null
  fault: string
}

export function Trial({ language, onLanguage, text, setText, trial, fault }: Props) {
  const { t } = useTranslation()
  return (
    <>
      <div className="rules-head">
        <h2>{t('rules.tried')}</h2>
        <span className="small quiet">
          <ChoiceInPlace
            label={t('rules.textLanguage')}
            blank=""
            value={language}
            options={languageOptions}
            onChange={onLanguage}
          />
        </span>
      </div>
      <Input.TextArea
        className="reading"
        rows={6}
        value={text}
        aria-label={t('rules.text')}
        placeholder={t('rules.textEmpty')}
        lang={language}
        onChange={(event) => setText(event.target.value)}
      />
      {fault && (
        <p className="fault" role="alert">
          {fault}
        </p>
      )}
      {!fault && trial && <Result trial={trial} language={language} />}
    </>
  )
}

function Result({ trial, language }: { trial: RuleTrial; language: string }) {
  const { t } = useTranslation()
  const { before, after, lines } = trial
  const same = after === before && !lines.flat().some((segment) => segment.changed)
  return (
    <>
      <p className="small quiet" role="status">
        {same ? t('rules.nothingChanges', { count: after }) : t('rules.changes', { before, after })}
      </p>
      <ol
        className="cut-text"
        aria-label={t('rules.result', { language: languageName(language) })}
        lang={language}
      >
        {lines.map((line, at) =>
          line.map((segment, index) => (
            <li
              key={`${at}-${index}`}
              className={`${index === 0 ? 'first' : ''}${segment.changed ? ' changed' : ''}`}
            >
              {segment.text}
              {segment.changed && <span className="hidden-text"> ({t('rules.changedHere')})</span>}
            </li>
          )),
        )}
      </ol>
    </>
  )
}
