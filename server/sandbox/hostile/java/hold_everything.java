public class Main {
    public static void main(String[] a) throws Exception {
        System.out.println("begins");
        Object first = new Object(), second = new Object();
        for (Object[] pair : new Object[][] {{first, second}, {second, first}})
            new Thread(() -> { synchronized (pair[0]) { try { Thread.sleep(100); } catch (InterruptedException e) { } synchronized (pair[1]) { } } }).start();
        Runtime.getRuntime().addShutdownHook(new Thread(() -> { while (true) { } }));
        Thread.currentThread().join();
    }
}
