import { serve } from './serve';
import { main } from './system';

main(() => serve(true));
