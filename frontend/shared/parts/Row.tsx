// A name and what stands for it, in a list of them (dl).
import type { ReactNode } from 'react'

export const Row = ({ label, children }: { label: string; children: ReactNode }) => (
  <div>
    <dt>{label}</dt>
    <dd>{children}</dd>
  </div>
)
