// A chapter of the guide: pictures, anchors, and the keys in force.
import Markdown, { type Components } from 'react-markdown'
import { KEYS, OUR_KEYS, shown, type Command } from '../shared/keys'
import { Key } from '../shared/parts/Key'
import { pictureOf, placeOf } from './chapters'

// The command that has this key by default.
const commandOf = (text: string) =>
  (Object.keys(OUR_KEYS) as Command[]).find((one) => shown(OUR_KEYS[one]) === text)

const COMPONENTS: Components = {
  h2: ({ children }) => <h2 id={placeOf(String(children))}>{children}</h2>,
  img: ({ src, alt }) => <img src={pictureOf(String(src))} alt={alt ?? ''} loading="lazy" />,
  code: ({ children }) => {
    const command = commandOf(String(children))
    return command ? <Key keys={KEYS[command]} /> : <kbd>{children}</kbd>
  },
}

export const GuideText = ({ text }: { text: string }) => <Markdown components={COMPONENTS}>{text}</Markdown>
