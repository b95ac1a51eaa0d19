import { Skeleton } from '@/ui/shared/Skeleton';

const Loading = () => <Skeleton what="The sheet" rows={[14, 14]} />;
export default Loading;
