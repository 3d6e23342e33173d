// A termbase on another server: where it is and what it holds. Its terms are found where a project uses it.
import { useTranslation } from 'react-i18next'
import { languageName } from '../shared/languages'
import { TextInPlace } from '../shared/parts/TextInPlace'
import type { RemoteSource, TermbasePage } from '../shared/types'
import { WhereItIs } from './WhereItIs'

interface Props {
  termbase: TermbasePage
  source: RemoteSource
  onRename: (name: string) => void
  onChanged: () => Promise<unknown>
}

export function RemoteTermbase({ termbase, source, onRename, onChanged }: Props) {
  const { t } = useTranslation()
  return (
    <div className="sheet-view">
      <h1 className="reading">
        <TextInPlace
          label={t('termbases.name')}
          blank={t('termbases.name')}
          value={termbase.name}
          onChange={onRename}
        />
      </h1>
      <p className="small quiet">{termbase.languages.map(languageName).join(' · ')}</p>
      <WhereItIs kind="termbase" source={source} onChanged={onChanged} />
      <p className="quiet">{t('remote.termsThere')}</p>
    </div>
  )
}
