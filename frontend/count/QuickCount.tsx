// Quick count: files dropped here are counted against chosen memories, or none; nothing is stored until the
// count is saved.
import { useTranslation } from 'react-i18next'
import { DropFiles } from '../shared/parts/DropFiles'
import { Frame } from '../shared/Frame'
import { Sending } from '../brief/Sending'
import { CountsKept } from './CountsKept'
import { QuickFiles } from './QuickFiles'
import { useQuickCount } from './useQuickCount'
import './quick.css'

export function QuickCount() {
  const { t } = useTranslation()
  const quick = useQuickCount()
  return (
    <Frame>
      <div
        className="quick"
        onDragOver={(event) => event.preventDefault()}
        onDrop={(event) => {
          event.preventDefault()
          quick.drop([...event.dataTransfer.files])
        }}
      >
        <section>
          <h1>{t('count.quick')}</h1>
          <p className="quiet">{t('count.quickLead')}</p>
          <Sending {...quick.sending} />
          <DropFiles onFiles={quick.drop} slim={!!quick.project}>
            {quick.project ? (
              <span className="quiet">
                {t('brief.dropMore')} <span className="plain-link">{t('brief.choose')}</span>
              </span>
            ) : (
              <>
                <h2>{t('count.quickDrop')}</h2>
                <p className="quiet">
                  {t('brief.dropLead')} <span className="plain-link">{t('count.quickChoose')}</span>
                </p>
              </>
            )}
          </DropFiles>
          {quick.project && <QuickFiles project={quick.project} quick={quick} />}
        </section>
        <CountsKept />
      </div>
    </Frame>
  )
}
