import { NOT_FOUND } from '@/words/screens/frame';
import styles from '@/ui/trouble.module.css';

export default function NotFound() {
  return (
    <main className={styles.fault}>
      <h1>{NOT_FOUND.head}</h1>
      <p className="soft">{NOT_FOUND.say}</p>
    </main>
  );
}
