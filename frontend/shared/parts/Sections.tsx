// The terms of an entry, a line for each language, each with its status as a word; one not to be used is
// struck through.
import { Fragment } from 'react'
import { useTranslation } from 'react-i18next'
import type { Term, TermSection } from '../types'
import { direction } from '../languages'

export const isUsable = (term: Term) =>
  !term.forbidden && term.status !== 'deprecated' && term.status !== 'superseded'

export function Sections({ sections }: { sections: TermSection[] }) {
  return (
    <span className="term-sections">
      {sections.map((section) => (
        <Fragment key={section.lang}>
          <span className="small quiet">{section.lang}</span>
          <span lang={section.lang} dir={direction(section.lang)}>
            {section.terms.map((term, index) => (
              <Fragment key={term.text}>
                {index > 0 && <span className="quiet"> · </span>}
                <TermWord term={term} />
              </Fragment>
            ))}
          </span>
        </Fragment>
      ))}
    </span>
  )
}

export function TermWord({ term }: { term: Term }) {
  const { t } = useTranslation()
  const status = term.forbidden ? 'forbidden' : term.status
  const said = [status && t(`terms.statuses.${status}`), term.gender, term.number].filter(Boolean).join(', ')
  const alarm = term.forbidden || status === 'deprecated'
  return (
    <>
      {isUsable(term) ? <b className="term">{term.text}</b> : <s className="term">{term.text}</s>}
      {said && <span className={alarm ? 'small alarm' : 'small quiet'}> {said}</span>}
      {term.note && <span className="small quiet"> {term.note}</span>}
    </>
  )
}
