@echo off
rem Runs Dobbin from the folder above this one: app\ is the application, cli\ has the commands that need no server.
setlocal
set "home=%~dp0.."
set "java=java"
if defined JAVA_HOME set "java=%JAVA_HOME%\bin\java"
if not defined DOBBIN_MEMORY set "DOBBIN_MEMORY=1g"
if not defined DOBBIN_DATA_FOLDER set "DOBBIN_DATA_FOLDER=%LOCALAPPDATA%\dobbin"
if not defined DOBBIN_DEMO_FOLDER set "DOBBIN_DEMO_FOLDER=%LOCALAPPDATA%\dobbin-demo"

"%java%" -version >nul 2>&1
if errorlevel 1 (
  echo Dobbin needs Java 17 or newer. Install it, or set JAVA_HOME to where it lies. 1>&2
  exit /b 3
)
for %%c in (make unpack cut bench) do if "%~1"=="%%c" goto files
for %%c in (start demo backup restore move-data user) do if "%~1"=="%%c" goto server
if "%~1"=="--version" (type "%home%\version.txt") else (type "%home%\commands.txt")
exit /b

:files
"%java%" -XX:+UseParallelGC -cp "%home%\cli\dobbin-cli.jar;%home%\app\lib\*" dobbin.cli.Main %*
exit /b

:server
"%java%" -Xmx%DOBBIN_MEMORY% "@%home%\server.options" -jar "%home%\app\dobbin-app.jar" %*
exit /b
