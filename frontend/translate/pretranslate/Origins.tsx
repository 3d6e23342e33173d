// What comes from where, in words: segments and words by origin, what is best first.
import { useTranslation } from 'react-i18next'
import { number } from '../../shared/i18n'
import type { MatchOrigin, OperationResult } from '../../shared/shapes'

const ORDER: MatchOrigin[] = ['context', 'exact', 'adapted', 'fuzzy', 'machine', 'none']

interface Props {
  origins: NonNullable<OperationResult['origins']>
  done: boolean
}

export function Origins({ origins, done }: Props) {
  const { t } = useTranslation()
  const rows = ORDER.filter((kind) => origins[kind]?.segments)
  return (
    <table className="pretranslate-origins">
      <caption className="small quiet">{t(done ? 'pretranslate.came' : 'pretranslate.wouldCome')}</caption>
      <thead>
        <tr className="small quiet">
          <th scope="col">{t('pretranslate.origin')}</th>
          <th scope="col">{t('pretranslate.segments')}</th>
          <th scope="col">{t('pretranslate.words')}</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((kind) => (
          <tr key={kind}>
            <th scope="row">{t(`pretranslate.origins.${kind}`)}</th>
            <td className="tab">{number(origins[kind].segments)}</td>
            <td className="tab">{number(origins[kind].words)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
