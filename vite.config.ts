// How the interface is built: through vite_ruby, from frontend/.
import { defineConfig } from 'vite'
import ruby from 'vite-plugin-ruby'
import react from '@vitejs/plugin-react'

export default defineConfig({
  plugins: [ruby(), react()],
  build: { emptyOutDir: true, chunkSizeWarningLimit: 1800, sourcemap: false },
})
