import { serve } from './channel'
import { engineMethods } from './engine-methods'

serve(self, engineMethods)
