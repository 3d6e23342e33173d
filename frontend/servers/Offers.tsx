// Projects that servers of clients offer, each to be opened.
import { useTranslation } from 'react-i18next'
import { longDate, number, time } from '../shared/i18n'
import { languageName } from '../shared/languages'
import type { Offer } from '../shared/types'
import { useAct } from '../shared/useAct'
import { useArrival } from '../shared/useArrival'
import { openOffer, useOffers } from './queries'
import './servers.css'

export function Offers() {
  const { t } = useTranslation()
  const { data } = useOffers()
  if (!data || (!data.offers.length && !data.troubles.length)) return null
  return (
    <section className="offers-there" aria-label={t('servers.offered')}>
      <h3>{t('servers.offered')}</h3>
      <ul className="side-list">
        {data.offers.map((offer) => (
          <OfferLine key={offer.id} offer={offer} />
        ))}
      </ul>
      {data.troubles.map((said) => (
        <p key={said} className="small quiet" role="status">
          {said}
        </p>
      ))}
    </section>
  )
}

function OfferLine({ offer }: { offer: Offer }) {
  const { t } = useTranslation()
  const arrival = useArrival('new-project')
  const { act, busy } = useAct()
  const open = () => {
    const arrive = arrival()
    void act(async () => {
      const project = await openOffer(offer.id)
      arrive(`/projects/${project}/brief`, t('arrival.project'))
    })
  }
  const { name, reference, source_lang, target_lang, due_at, words, files, instructions, server } = offer
  const about = [
    reference,
    `${languageName(source_lang)} → ${languageName(target_lang)}`,
    words ? t('servers.words', { count: words, words: number(words) }) : '',
    t('servers.files', { count: files.length }),
    due_at ? t('due', { when: `${longDate(due_at)}, ${time(due_at)}` }) : '',
    server,
  ]
  return (
    <li>
      <div>
        <b className="reading">{name}</b>
        <p className="small quiet">{about.filter(Boolean).join(' · ')}</p>
        {instructions && <p className="small offer-says">{instructions}</p>}
      </div>
      <button
        type="button"
        className="plain-link small"
        disabled={busy}
        aria-label={`${t('servers.open')}: ${name}`}
        onClick={open}
      >
        {t(busy ? 'servers.opening' : 'servers.open')}
      </button>
    </li>
  )
}
