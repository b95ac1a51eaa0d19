import { Skeleton } from '@/ui/shared/Skeleton';

const Loading = () => <Skeleton what="The list of sheets" rows={[4, 5]} />;
export default Loading;
