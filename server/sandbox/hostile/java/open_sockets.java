import java.net.*;
public class Main { public static void main(String[] a) { for (String h : new String[] {"127.0.0.1", "10.0.0.1", "192.0.2.1"}) try { new Socket().connect(new InetSocketAddress(h, 22), 500); System.out.println("reached"); } catch (Exception e) { System.out.println("refused"); } } }
