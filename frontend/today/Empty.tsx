// Today before there is any work: the page itself is the place to drop files, and says what happens next.
import { useTranslation } from 'react-i18next'
import type { SendingState } from '../brief/useSending'
import { Offers } from '../servers/Offers'
import { DropHere, type useInto } from './DropHere'
import { Templates } from './Templates'
import type { Start } from './useNewBrief'

const NEXT = ['read', 'brief', 'translate'] as const

interface Props {
  sending: SendingState
  start: Start
  into: ReturnType<typeof useInto>
}

export function Empty({ sending, start, into }: Props) {
  const { t } = useTranslation()
  return (
    <section className="first">
      <h1>{t('today.empty')}</h1>
      <ol>
        {NEXT.map((step) => (
          <li key={step}>{t(`today.next.${step}`)}</li>
        ))}
      </ol>
      <DropHere {...{ sending, start, into }} whole />
      <Offers />
      <Templates start={start} />
    </section>
  )
}
