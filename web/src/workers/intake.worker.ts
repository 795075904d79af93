import { serve } from './channel'
import { intakeMethods } from './intake-methods'

serve(self, intakeMethods)
