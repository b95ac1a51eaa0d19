import { Skeleton } from '@/ui/shared/Skeleton';

const Loading = () => <Skeleton what="The book" rows={[14, 8]} />;
export default Loading;
