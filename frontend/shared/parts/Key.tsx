// Keys as they are called on the user's keyboard.
import { shown } from '../keys'

export const Key = ({ keys }: { keys: string }) => <kbd>{shown(keys)}</kbd>
