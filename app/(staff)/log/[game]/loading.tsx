import { Skeleton } from '@/ui/shared/Skeleton';

const Loading = () => <Skeleton what="The game" rows={[14, 8]} />;
export default Loading;
