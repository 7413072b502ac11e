export { Loading as default } from '@/ui/loading';
