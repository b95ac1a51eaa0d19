import { Skeleton } from '@/ui/shared/Skeleton';

const Loading = () => <Skeleton what="The week" rows={[12, 6]} />;
export default Loading;
