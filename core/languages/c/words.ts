/** Common words of C's standard library (ISO/IEC 9899:2018, clause 7), its types and its usual names. */
export const cWords: readonly string[] = (
  "main argc argv include define printf scanf fprintf fscanf sprintf snprintf sscanf puts gets fgets fputs getchar putchar fopen fclose fread fwrite feof fflush stdin stdout stderr FILE EOF NULL " +
  "malloc calloc realloc free exit abort atoi atof strtol strtod rand srand time clock strlen strcpy strncpy strcmp strncmp strcat strncat strchr strstr strtok memcpy memset memmove " +
  "sqrt pow floor ceil fabs abs sin cos tan exp log toupper tolower isdigit isalpha isspace isupper islower qsort size_t bool true false stdio stdlib string math ctype stdbool stdint time limits assert errno " +
  "int8_t int16_t int32_t int64_t uint8_t uint16_t uint32_t uint64_t INT_MAX INT_MIN struct"
).split(" ");
