import { Skeleton } from '@/ui/shared/Skeleton';

const Loading = () => <Skeleton what="The list of games" rows={[12, 8]} />;
export default Loading;
