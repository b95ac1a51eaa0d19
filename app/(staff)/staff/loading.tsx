import { Skeleton } from '@/ui/shared/Skeleton';

const Loading = () => <Skeleton what="The staff page" rows={[10, 8]} />;
export default Loading;
