/** Common functions and constants of Octave (GNU Octave manual, function index) and its usual names. */
export const octaveWords: readonly string[] = (
  "disp printf fprintf sprintf input num2str str2num str2double mat2str int2str display numel length size ndims rows columns zeros ones eye rand randi randn linspace sum prod cumsum max min mean " +
  "median sort find any all abs sqrt exp log floor ceil round fix mod rem isempty isnumeric ischar islogical iscell isstruct isfield strcmp strcat strsplit strjoin strrep strtrim upper lower " +
  "cell cellfun arrayfun struct fieldnames error warning try catch lasterr rethrow func2str str2func feval true false pi Inf NaN eps ans end clc clear close all more off plot figure hold xlabel ylabel " +
  "fopen fclose fgetl fgets feof fscanf exist isa class double int32 single char logical repmat reshape numel inputname nargin nargout varargin varargout tic toc main"
).split(" ");
