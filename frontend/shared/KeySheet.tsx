// All keys on one sheet.
import { Modal } from 'antd'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { GROUPS, KEYS, proposalKey, termbaseKey, termKey } from './keys'
import { Key } from './parts/Key'

const NUMBERED = [
  ['proposal', proposalKey],
  ['term', termKey],
  ['termbase', termbaseKey],
] as const

export function KeySheet({ onClose }: { onClose: () => void }) {
  const { t } = useTranslation()
  return (
    <Modal open width={860} footer={null} onCancel={onClose} title={t('keys.sheet')} destroyOnHidden>
      <div className="key-sheet">
        {Object.entries(GROUPS).map(([group, commands]) => (
          <section key={group} aria-label={t(`keys.groups.${group}`)}>
            <h3>{t(`keys.groups.${group}`)}</h3>
            <dl>
              {commands.map((command) => (
                <Line key={command} name={t(`commands.${command}`)} keys={KEYS[command]} />
              ))}
              {group === 'offered' &&
                NUMBERED.map(([what, keyFor]) => (
                  <Line key={what} name={t(`keys.numbered.${what}`)} keys={`${keyFor(1)} … 9`} />
                ))}
            </dl>
          </section>
        ))}
      </div>
      <Link className="plain-link small" to="/settings/keys" onClick={onClose}>
        {t('keys.change')}
      </Link>
    </Modal>
  )
}

const Line = ({ name, keys }: { name: string; keys: string }) => (
  <div>
    <dt>{name}</dt>
    <dd>
      <Key keys={keys} />
    </dd>
  </div>
)
