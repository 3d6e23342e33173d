// Keys as they are called on her keyboard.
import { shown } from '../keys'

export const Key = ({ keys }: { keys: string }) => <kbd>{shown(keys)}</kbd>
