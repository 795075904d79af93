import { serve } from './channel'
import { scanMethods } from './scan-methods'

serve(self, scanMethods)
