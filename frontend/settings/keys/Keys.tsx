// The keys of all commands: each changed by pressing another, clashes told, taken out and in as a file.
import { useTranslation } from 'react-i18next'
import { Frame } from '../../shared/Frame'
import { GROUPS } from '../../shared/keys'
import { DropFiles } from '../../shared/parts/DropFiles'
import { KeyLine } from './KeyLine'
import { useKeyMap } from './useKeyMap'
import '../settings.css'

export function Keys() {
  const { t } = useTranslation()
  const { own, change, clear, takeIn, trouble } = useKeyMap()
  const file = new Blob([JSON.stringify(own, null, 2)], { type: 'application/json' })
  return (
    <Frame>
      <div className="sheet-view keys-page">
        <h1>{t('keys.title')}</h1>
        <p className="quiet">{t('keys.lead')}</p>
        <p role="alert" className="alarm">
          {trouble}
        </p>
        {Object.entries(GROUPS).map(([group, commands]) => (
          <section key={group} aria-label={t(`keys.groups.${group}`)}>
            <h2>{t(`keys.groups.${group}`)}</h2>
            <ul className="lines">
              {commands.map((command) => (
                <KeyLine key={command} command={command} changed={command in own} onChange={change} />
              ))}
            </ul>
          </section>
        ))}
        <p className="presses">
          <a className="link" href={URL.createObjectURL(file)} download="keys.json">
            {t('keys.out')}
          </a>
          <button type="button" className="link" onClick={clear}>
            {t('keys.ours')}
          </button>
        </p>
        <DropFiles slim onFiles={([given]) => void takeIn(given)}>
          {t('keys.in')}
        </DropFiles>
      </div>
    </Frame>
  )
}
