@echo off
rem Starts Fold Twice: builds it when needed, then
rem   foldtwice                    the desktop with the demo library
rem   foldtwice LIBRARY            the desktop with another library
rem   foldtwice new^|check^|press^|run^|verify^|diff^|merge^|sheet^|history^|kit^|payback^|plan^|bindings^|repair^|backups^|live    the command line (foldtwice --help)
rem   foldtwice pictures [FOLDER]  renders docs\screenshots without a display
setlocal EnableDelayedExpansion
set "home=%~dp0"
set "home=%home:~0,-1%"
set "need=25"
set "jdk="
call :try "%JAVA_HOME%"
for /d %%d in ("%ProgramFiles%\Eclipse Adoptium\*" "%ProgramFiles%\Java\*" "%USERPROFILE%\.jdks\*") do call :try "%%~d"
if not defined jdk (
  echo foldtwice: no JDK %need% or newer found; install one, for instance Temurin %need%, or set JAVA_HOME to it 1>&2
  exit /b 2
)
set "jars=%home%\desktop\target"
set "old="
powershell -NoProfile -Command "$b = Get-Item '%jars%\built' -ErrorAction SilentlyContinue; if (-not $b -or -not (Test-Path '%jars%\classpath.txt')) { exit 1 }; $n = Get-ChildItem -Recurse -File '%home%\pom.xml','%home%\*\pom.xml','%home%\core\src\main','%home%\standins\src\main','%home%\live\src\main','%home%\cli\src\main','%home%\desktop\src\main' | Where-Object { $_.LastWriteTime -gt $b.LastWriteTime } | Select-Object -First 1; if ($n) { exit 1 }" || set "old=1"
if defined old (
  where mvn >nul 2>nul || (
    echo foldtwice: Maven ^(mvn^) is needed for the first start 1>&2
    exit /b 2
  )
  echo foldtwice: building, once 1>&2
  if not exist "%jars%" mkdir "%jars%"
  type nul > "%jars%\built.new"
  pushd "%home%"
  set "JAVA_HOME=%jdk%"
  call mvn -q -B -ntp -P-checks -pl desktop -am package -Dmaven.test.skip=true 1>&2
  if errorlevel 1 (
    popd
    exit /b 2
  )
  popd
  move /y "%jars%\built.new" "%jars%\built" >nul
)
set /p cp=<"%jars%\classpath.txt"
set "main=foldtwice.desktop.Launch"
for /f "usebackq delims=" %%c in ("%home%\cli\src\main\resources\foldtwice\cli\commands") do if "%~1"=="%%c" set "main=foldtwice.cli.Main"
"%jdk%\bin\java" -XX:MaxTenuringThreshold=1 --enable-native-access=ALL-UNNAMED --sun-misc-unsafe-memory-access=allow "-Dfoldtwice.home=%home%" %FOLDTWICE_OPTS% -cp "%jars%\foldtwice-desktop-0.1.0.jar;%cp%" %main% %*
exit /b %errorlevel%

:try
if defined jdk exit /b 0
if not exist "%~1\bin\java.exe" exit /b 0
if not exist "%~1\release" exit /b 0
for /f "tokens=2 delims==." %%v in ('findstr /b "JAVA_VERSION=" "%~1\release"') do (
  set "v=%%~v"
  set "v=!v:"=!"
  if !v! GEQ %need% set "jdk=%~1"
)
exit /b 0
