import { Skeleton } from '@/ui/shared/Skeleton';

const Loading = () => <Skeleton what="Read" rows={[14, 10]} />;
export default Loading;
