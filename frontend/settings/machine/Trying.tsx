// One sentence sent to a service, and plainly what came.
import { Button } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { TwoLanguages } from '../../shared/parts/TwoLanguages'
import { tryService, type Tried } from './queries'

export function Trying({ service }: { service: number }) {
  const { t } = useTranslation()
  const [source, setSource] = useState('en-GB')
  const [target, setTarget] = useState('it-IT')
  const [told, setTold] = useState<Tried | string | null>(null)
  const [busy, setBusy] = useState(false)
  const send = async () => {
    setBusy(true)
    try {
      setTold(await tryService(service, { source_lang: source, target_lang: target }))
    } catch (error) {
      setTold((error as Error).message)
    } finally {
      setBusy(false)
    }
  }
  return (
    <div className="small trying">
      <Button size="small" loading={busy} onClick={() => void send()}>
        {t('machine.try')}
      </Button>{' '}
      <TwoLanguages {...{ source, target }} onSource={setSource} onTarget={setTarget} />
      {told && (
        <p role="status" className={typeof told === 'string' ? 'alarm' : ''}>
          {typeof told === 'string'
            ? told
            : t(told.codes ? 'machine.gave' : 'machine.gaveWithoutCodes', { sent: told.sent, got: told.got })}
        </p>
      )}
    </div>
  )
}
