import { Skeleton } from '@/ui/shared/Skeleton';

const Loading = () => <Skeleton what="The week of practice" rows={[12, 12]} />;
export default Loading;
