// What is written to the client with a delivery: proposed, edited, copied.
import { App, Input } from 'antd'
import { useTranslation } from 'react-i18next'

interface Props {
  text: string
  onChange: (text: string) => void
}

export function Message({ text, onChange }: Props) {
  const { t } = useTranslation()
  const { message } = App.useApp()
  const copy = () => {
    void navigator.clipboard.writeText(text).then(() => message.success(t('deliver.copied')))
  }
  return (
    <details className="delivery-message">
      <summary>{t('deliver.message')}</summary>
      <Input.TextArea
        autoSize={{ minRows: 4, maxRows: 16 }}
        aria-label={t('deliver.message')}
        value={text}
        onChange={(event) => onChange(event.target.value)}
      />
      <button type="button" className="link small" onClick={copy}>
        {t('deliver.copy')}
      </button>
    </details>
  )
}
