import { Skeleton } from '@/ui/shared/Skeleton';

const Loading = () => <Skeleton what="Practice" rows={[4, 4]} />;
export default Loading;
