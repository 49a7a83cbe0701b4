/** Common words of Java's library (java.lang, java.util, java.io) and its usual names. */
export const javaWords: readonly string[] = (
  "main args String System out in err println print printf Scanner nextInt nextLine nextDouble next hasNext hasNextInt close Math abs max min sqrt pow round floor ceil random Random Integer Double " +
  "Boolean Character Long Float Byte Short Object List ArrayList LinkedList Map HashMap TreeMap Set HashSet TreeSet Queue Deque Stack Arrays Collections Iterator add get set remove size isEmpty " +
  "contains containsKey put keySet values entrySet clear sort length charAt substring indexOf equals equalsIgnoreCase compareTo toUpperCase toLowerCase trim split replace format valueOf parseInt " +
  "parseDouble toString hashCode getClass getMessage printStackTrace Exception RuntimeException ArithmeticException NullPointerException ArrayIndexOutOfBoundsException IndexOutOfBoundsException " +
  "NumberFormatException ClassCastException IllegalArgumentException IllegalStateException InputMismatchException StackOverflowError OutOfMemoryError StringIndexOutOfBoundsException " +
  "ArrayStoreException NegativeArraySizeException IOException FileNotFoundException Thread Runnable Override StringBuilder append insert reverse java util io lang record var yield sealed permits"
).split(" ");
