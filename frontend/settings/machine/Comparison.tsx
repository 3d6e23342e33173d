// One sentence sent to all active services of a language pair: what each gives, side by side.
import { Button, Input } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { number } from '../../shared/i18n'
import { TwoLanguages } from '../../shared/parts/TwoLanguages'
import { compareServices, type Compared } from './queries'

const LONGEST = 500

export function Comparison() {
  const { t } = useTranslation()
  const [text, setText] = useState('')
  const [source, setSource] = useState('en-GB')
  const [target, setTarget] = useState('it-IT')
  const [compared, setCompared] = useState<Compared[] | string | null>(null)
  const [busy, setBusy] = useState(false)
  const send = async () => {
    setBusy(true)
    try {
      setCompared((await compareServices({ text, source_lang: source, target_lang: target })).compared)
    } catch (error) {
      setCompared((error as Error).message)
    } finally {
      setBusy(false)
    }
  }
  return (
    <section className="compare-services">
      <h2>{t('machine.compareTitle')}</h2>
      <p className="quiet small">{t('machine.compareAbout')}</p>
      <Input.TextArea
        aria-label={t('machine.compareText')}
        placeholder={t('machine.compareText')}
        maxLength={LONGEST}
        autoSize={{ minRows: 2 }}
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      <p className="presses">
        <TwoLanguages {...{ source, target }} onSource={setSource} onTarget={setTarget} />{' '}
        <Button loading={busy} disabled={!text.trim()} onClick={() => void send()}>
          {t('machine.compare')}
        </Button>
      </p>
      <div role="status">{compared && <Outcome compared={compared} target={target} />}</div>
    </section>
  )
}

function Outcome({ compared, target }: { compared: Compared[] | string; target: string }) {
  const { t } = useTranslation()
  if (typeof compared === 'string') return <p className="alarm">{compared}</p>
  return (
    <dl className="compared">
      {compared.map((one) => (
        <div key={one.service}>
          <dt>
            {one.service} <span className="quiet small">{t('machine.took', { ms: number(one.ms) })}</span>
          </dt>
          <dd className={one.trouble ? 'alarm small' : 'reading'} lang={one.trouble ? undefined : target}>
            {one.trouble ?? one.got}
          </dd>
        </div>
      ))}
    </dl>
  )
}
